import { pairOf, type Body, type Scene } from '../clearance/index.js';
import { lumpOf, type ConnectionMap, type JobPlan, type PartId } from '../connection-map/index.js';
import { highestHookMm, levellerFor, mostTiltDeg, type LiftingGear } from '../rigging/index.js';
import {
  axisOf,
  depthOf,
  extentOf,
  middleOf,
  type Extent,
  type Interval,
  type Leg,
  type MachineShape,
  type Shaped,
} from '../shape/index.js';

/** One leg of a lift: what moves, past what, and where from. */
export interface LiftLeg {
  readonly leg: Leg;
  /** What is on it now. */
  readonly moving: readonly Shaped[];
  /** What still stands round it, the bay included; what hangs by its hoses is swung aside and not among it. */
  readonly still: readonly Shaped[];
  /** How far it is drawn off its shaft before the way begins, in machine coordinates. */
  readonly drawnOff: { readonly xMm: number; readonly yMm: number };
  readonly massKg: number;
  /** Its centre of gravity where it sits. */
  readonly centre: { readonly x: number; readonly y: number; readonly z: number };
  readonly scene: Scene;
}

/** A machine, what leaves it by which route, and what is off already or will be by then. */
export interface LiftOf {
  readonly map: ConnectionMap;
  readonly lump: ReadonlySet<PartId>;
  readonly route: JobPlan['route'];
  readonly off: ReadonlySet<PartId>;
  readonly shape: MachineShape;
  /** How far the machine is raised while it is lifted, in mm. */
  readonly raisedMm: number;
  /** What is still inside of fluids, by the part that holds it. */
  readonly fluids: readonly { readonly part: PartId; readonly massKg: number }[];
  /** Parts that are off on the way out, and in again before it comes back. */
  readonly inFirst: ReadonlySet<PartId>;
  /** Parts that were to be off and were put off until later, with what is left to do on them, out and back, in minutes. */
  readonly putOff: readonly { readonly part: PartId; readonly minutes: number }[];
  /** What the shop lifts with. */
  readonly gear: LiftingGear;
}

/** The same lift as it is on the way back: with what has to be in first, or is fitted already. */
export function onTheWayBack(lift: LiftOf): LiftOf {
  return { ...lift, off: new Set([...lift.off].filter((part) => !lift.inFirst.has(part))) };
}

/** The legs of a lift in their order, each with its scene; none where nobody drew the route. */
export function legsOf(lift: LiftOf): readonly LiftLeg[] {
  const gone = new Set(lift.off);
  return (lift.shape.layout.ways[lift.route] ?? []).flatMap((leg): readonly LiftLeg[] => {
    const parts = leg.roots ? lumpOf(lift.map, leg.roots) : lift.lump;
    const moves = new Set([...parts].filter((part) => lift.lump.has(part) && !gone.has(part)));
    const made = legOf(lift, leg, moves, gone);
    moves.forEach((part) => gone.add(part));
    return made ? [made] : [];
  });
}

function legOf(lift: LiftOf, leg: Leg, moves: ReadonlySet<PartId>, gone: ReadonlySet<PartId>): LiftLeg | undefined {
  const { map, shape } = lift;
  const aside = swungAside(map, moves, gone);
  const moving = [...moves].flatMap((id) => shape.parts.get(id) ?? []).filter(({ soft }) => !soft);
  const seated = extentOf(moving.flatMap(({ solids }) => solids));
  if (!seated) return undefined;
  const standing = [...shape.parts.values()].filter(
    ({ id, soft, swings }) => !soft && !swings && !moves.has(id) && !gone.has(id) && !aside.has(id),
  );
  const still = [...standing, ...shape.bay];
  const drawnOff = drawOff(shape, leg);
  const towards = (map.bay ?? 'front') === 'front' ? ('nose' as const) : ('tail' as const);
  const bodies = (things: readonly Shaped[], dx = 0, dy = 0): readonly Body[] =>
    things.flatMap(({ id, name, solids }) =>
      solids.map(({ outline, across }) => ({
        id,
        name,
        outline: dx === 0 ? outline : outline.map(({ x, z }) => ({ x: x + dx, z })),
        across: [across[0] + dy, across[1] + dy] as const,
      })),
    );
  const movingBodies = bodies(moving, drawnOff.xMm, drawnOff.yMm);
  // Whoever goes up swings its tail down on the way; down and out the body is raised as far as it takes.
  const stillBodies = [...bodies(still), ...(leg.exit === 'up' ? [ground(lift, seated)] : [])];
  const { massKg, centre } = weightOf(moving, lift.fluids);
  return {
    leg,
    moving,
    still,
    drawnOff,
    massKg,
    centre,
    scene: {
      moving: movingBodies,
      still: stillBodies,
      nested: nested(moving, still, movingBodies, stillBodies),
      pivot: { x: centre.x + drawnOff.xMm, z: centre.z },
      out: { exit: leg.exit, towards },
      tiltDeg: tiltOf(leg, { moving, massKg, centre }, lift.gear),
      ...hungReach(lift, leg, { moving, massKg, centre }, reachOf(leg, seated, still, shape, towards)),
    },
  };
}

/** The floor of the shed under a machine that is raised. */
function ground({ raisedMm }: LiftOf, { x, y }: Extent): Body {
  const far = 4_000;
  return {
    id: 'ground',
    name: 'shed floor',
    outline: [
      { x: x[0] - far, z: -raisedMm - 100 },
      { x: x[1] + far, z: -raisedMm - 100 },
      { x: x[1] + far, z: -raisedMm },
      { x: x[0] - far, z: -raisedMm },
    ],
    across: [y[0] - far, y[1] + far],
  };
}

/** How far it can be tilted: as far as there is use for, and as the leveller lets it. */
function tiltOf(leg: Leg, hung: Pick<LiftLeg, 'moving' | 'massKg' | 'centre'>, gear: LiftingGear): Interval {
  if (leg.exit !== 'up') return leg.tiltDeg;
  const most = mostTiltDeg(levellerFor(gear, hung.massKg), barAboveCentreMm(hung));
  return [Math.max(-most, leg.tiltDeg[0]), Math.min(most, leg.tiltDeg[1])];
}

/** How far the bar of a leveller hangs above the highest point of what it lifts, in mm. */
const BAR_ABOVE_MM = 120;

/** From the centre of gravity of what hangs up to the bar of its leveller, in mm. */
export function barAboveCentreMm({ moving, centre }: Pick<LiftLeg, 'moving' | 'centre'>): number {
  return Math.max(...moving.map(({ extent }) => extent.z[1])) - centre.z + BAR_ABOVE_MM;
}

/** A little a jack lifts what it has, before it goes down. */
const JACK_UP_MM = 30;

/** Parts that are bolted to nothing but what leaves: undone, they hang by their hoses and are pushed aside. */
function swungAside(map: ConnectionMap, moves: ReadonlySet<PartId>, gone: ReadonlySet<PartId>): ReadonlySet<PartId> {
  const holds = new Set(['bolted', 'clamp', 'strap', 'clip', 'shaft']);
  return new Set(
    map.parts
      .filter(({ id }) => id !== map.body && !moves.has(id) && !gone.has(id))
      .filter(({ id }) => {
        const ties = map.connections.filter(({ between, kind }) => between.includes(id) && holds.has(kind));
        return ties.length > 0 && ties.every(({ between: [one, other] }) => moves.has(one === id ? other : one));
      })
      .map(({ id }) => id),
  );
}

/** Nearer than this a thing let into another by design is still in it, in mm. */
const STILL_IN_MM = 12;

/** Pairs let into each other by design that are so where the way begins. */
function nested(
  moving: readonly Shaped[],
  still: readonly Shaped[],
  movingBodies: readonly Body[],
  stillBodies: readonly Body[],
): ReadonlySet<string> {
  const byDesign = new Set(
    moving.flatMap((mine) =>
      still.filter(({ id, into }) => mine.into.has(id) || into.has(mine.id)).map(({ id }) => `${mine.id} ${id}`),
    ),
  );
  return new Set(
    movingBodies.flatMap((mine) =>
      stillBodies
        .filter((theirs) => byDesign.has(pairOf(mine, theirs)) && depthOf(mine, theirs) > -STILL_IN_MM)
        .map((theirs) => pairOf(mine, theirs)),
    ),
  );
}

function drawOff(shape: MachineShape, { drawOffMm = 0 }: Leg) {
  const { on, sign } = axisOf(shape.layout, 'pulley');
  return { xMm: on === 'x' ? sign * drawOffMm : 0, yMm: on === 'y' ? sign * drawOffMm : 0 };
}

/** How deep in its part the fluid sits that did not run out, as a share of its height. */
const FLUID_AT = 0.2;

/** Mass in kg and centre of gravity of `parts`, the middle of each by its weight, with the fluid that is still in them. */
export function weightOf(parts: readonly Shaped[], fluids: LiftOf['fluids'] = []): Pick<LiftLeg, 'massKg' | 'centre'> {
  const weights = parts.flatMap(({ id, massKg, middle, extent: { z } }) => [
    { massKg, middle },
    ...fluids
      .filter(({ part }) => part === id)
      .map((fluid) => ({ massKg: fluid.massKg, middle: { ...middle, z: z[0] + FLUID_AT * (z[1] - z[0]) } })),
  ]);
  const massKg = weights.reduce((sum, one) => sum + one.massKg, 0);
  if (massKg === 0) return { massKg, centre: middleOf(parts.flatMap(({ solids }) => solids)) };
  const along = (axis: 'x' | 'y' | 'z') =>
    weights.reduce((sum, one) => sum + one.massKg * one.middle[axis], 0) / massKg;
  return { massKg, centre: { x: along('x'), y: along('y'), z: along('z') } };
}

/** From the pick points up to the hook, as a rule, in mm. */
export const HOOK_ABOVE_PICKS_MM = 480;

/** The highest point of what is picked up: the top of its engine, where it has one. */
export function pickHeightMm(moving: readonly Shaped[]): number {
  return (moving.find(({ id }) => id === 'engine') ?? moving[0])?.extent.z[1] ?? 0;
}

/** What a boom has to reach over: from the machine’s end to the centre of gravity of what hangs, in mm. */
export function overhangMm({ map, shape: { planes } }: LiftOf, centre: LiftLeg['centre']): number {
  const end = (map.bay ?? 'front') === 'front' ? planes.get('nose') : planes.get('tail-end');
  return Math.abs((end ?? centre.x) - centre.x);
}

/** How high the hook comes of a hoist of the shop that reaches over it and is rated for it, in mm; nothing where none does. */
export function hookFor(lift: LiftOf, { massKg, centre }: Pick<LiftLeg, 'massKg' | 'centre'>): number | undefined {
  return highestHookMm(lift.gear.hoists, { massKg, reachMm: overhangMm(lift, centre) });
}

/** The room to look in, no higher than the hook of a hoist comes that reaches over it and is rated for it. */
function hungReach(
  lift: LiftOf,
  { by }: Leg,
  hung: Pick<LiftLeg, 'moving' | 'massKg' | 'centre'>,
  reach: Pick<Scene, 'xMm' | 'zMm'>,
): Pick<Scene, 'xMm' | 'zMm'> {
  if (by !== 'hoist') return reach;
  const highest = hookFor(lift, hung);
  // Where no hoist does it the rig says so; the way is looked for as if one did.
  if (highest === undefined) return reach;
  const roomMm = highest - (pickHeightMm(hung.moving) + HOOK_ABOVE_PICKS_MM + lift.raisedMm);
  return { ...reach, zMm: [reach.zMm[0], Math.max(reach.zMm[0], Math.min(reach.zMm[1], roomMm))] };
}

/**
 * Room to look in, in mm: as far as a way can need, and a little. What hangs does not go below its seat and what stands on
 * a dolly not above it: there are its mounts.
 */
function reachOf(
  { exit, by }: Leg,
  { x, z }: Extent,
  still: readonly Shaped[],
  { planes }: MachineShape,
  towards: 'nose' | 'tail',
): { readonly xMm: Interval; readonly zMm: Interval } {
  const length = x[1] - x[0];
  if (exit === 'back') return { xMm: [(planes.get('tail-end') ?? 0) - x[1] - 150, 80], zMm: [0, 420] };
  const onTheWay = still.filter(({ extent }) => (towards === 'nose' ? extent.x[1] > x[0] : extent.x[0] < x[1]));
  if (exit === 'down') {
    const lowest = Math.min(z[1], ...onTheWay.map(({ extent }) => extent.z[0]));
    return { xMm: [-260, 260], zMm: [lowest - z[1] - 260, by === 'dolly' ? 0 : JACK_UP_MM] };
  }
  const highest = Math.max(z[0], ...onTheWay.map(({ extent }) => extent.z[1]));
  const away = Math.min(1_400, Math.max(300, length));
  return {
    xMm: towards === 'nose' ? [-160, away] : [-away, 160],
    zMm: [0, highest - z[0] + 380],
  };
}
