import {
  lumpOf,
  type Connection,
  type ConnectionKind,
  type ConnectionMap,
  type PartId,
} from '../connection-map/index.js';
import { extentOf, type Extent, type MachineShape, type Shaped } from '../shape/index.js';
import { leadHoses } from './hose-ways.js';
import { apartAtLeast, meetingOf, type Meeting } from './meeting.js';
import {
  framesMeet,
  frameRound,
  nearness,
  outlineFrom,
  seenFrom,
  VIEWS,
  viewOf,
  type Frame,
  type Spot,
  type View,
} from './views.js';

/** A part or a feature of the bay as it is seen. */
export interface Seen {
  readonly id: string;
  readonly name: string;
  readonly outlines: readonly (readonly Spot[])[];
  readonly frame: Frame;
  readonly is: 'bay' | 'part' | 'powerpack';
  /** Only its rim is drawn: it is off, or would hide the powerpack that lies under it. */
  readonly rimOnly: boolean;
  /** Nobody knows its shape. */
  readonly guessed: boolean;
}

/** Connections of one kind between the same two parts, drawn as one. */
export interface Bundle {
  readonly key: string;
  readonly kind: ConnectionKind;
  readonly connections: readonly Connection[];
  /** Where they join. */
  readonly at: Spot;
  /** The way of a hose, pipe, cable or loom to its other end; absent where the two touch, or the other is the body. */
  readonly way?: readonly Spot[];
}

/** One view of a bay in true measure; all in mm. */
export interface BayDrawing {
  readonly view: View;
  readonly frame: Frame;
  /** What covers comes after what it covers. */
  readonly seen: readonly Seen[];
  readonly bundles: readonly Bundle[];
}

/** Round what is drawn, in mm. */
const ROOM_MM = 140;
/** The neighbourhood of a connection: enough to know the place again, in mm. */
const NEAR_MM = { wide: 1_150, high: 780 } as const;
/** Farther apart than this, a line is drawn between the two ends. */
const LINE_FROM_MM = 70;
/** Nearer than this the body is the next thing of the bay; else what is tied to it ends on the part itself. */
const BODY_WITHIN_MM = 350;
/** Something over the largest part of the powerpack that hides more than this share of it is drawn as its rim. */
const LID_SHARE = 0.6;
/** From the side one sees what is on this side, and what is in the middle, in mm past it. */
const PAST_THE_MIDDLE_MM = 60;
/** Two bundles between the same two are no nearer to each other than this, in mm, where there is room. */
const BESIDE_MM = 55;

/** What is looked at. */
export interface Look {
  readonly view: View;
  /** What leaves the machine; the map’s first powerpack, unless said. */
  readonly lump?: ReadonlySet<PartId>;
  /** Parts that are off. */
  readonly off?: ReadonlySet<PartId>;
  /** What is drawn as joined; all that is seen from there, unless said. */
  readonly connections?: readonly Connection[];
  /** Nothing but these parts, and no bay about them: what stands on the bench. */
  readonly only?: ReadonlySet<PartId>;
  /** Only the neighbourhood of the connections, instead of the whole bay. */
  readonly near?: boolean;
}

/**
 * `map` as it is looked at, in the measures of `shape`: every part where it is, connections where they join, hoses and
 * looms by a plausible way.
 */
export function drawBay(map: ConnectionMap, shape: MachineShape, look: Look): BayDrawing {
  const { view, only, near = false, off = new Set(), lump = lumpOf(map, map.powerpacks[0]?.roots ?? []) } = look;
  const shown = look.connections ?? connectionsIn(map, shape, view);
  const joined = joints(shown, map, shape, view);
  const leaves = [...lump].flatMap((part) => shape.parts.get(part) ?? []);
  const pack = extentOf(leaves.flatMap(({ solids }) => solids));
  const largest = leaves.reduce<Shaped | undefined>(
    (most, one) => (most && volume(most) >= volume(one) ? most : one),
    undefined,
  );
  const whole = pack && view !== 'inside' ? corners(view, pack) : [];
  const frame =
    near && joined.length > 0
      ? atLeast(
          frameRound(
            joined.map(({ at }) => at),
            ROOM_MM,
          ),
          NEAR_MM,
        )
      : frameRound([...whole, ...joined.flatMap(({ at, to }) => (to ? [at, to] : [at]))], ROOM_MM);
  const seen = [
    ...(only ? [] : shape.bay.map((one) => seenOf(one, view, 'bay', largest, off))),
    ...[...shape.parts.values()]
      .filter(({ id }) => only?.has(id) !== false)
      .sort((one, other) => nearness(view, one.extent) - nearness(view, other.extent))
      .map((one) => seenOf(one, view, lump.has(one.id) ? 'powerpack' : 'part', largest, off)),
  ].filter((one) => framesMeet(one.frame, frame) && !isGround(one, frame));
  const hard = seen.filter(({ id, is, rimOnly }) => is !== 'bay' && !rimOnly && shape.parts.get(id)?.soft !== true);
  const led = joined.flatMap((joint) =>
    joint.to && Math.hypot(joint.to.u - joint.at.u, joint.to.v - joint.at.v) > LINE_FROM_MM
      ? [{ ...joint, to: joint.to }]
      : [],
  );
  const ways = leadHoses(
    led.map(({ at, to, ends, connections }) => ({
      from: at,
      to,
      ends,
      along: ends.includes('loom') ? 'loom' : (connections[0]?.system ?? ''),
    })),
    hard.flatMap(({ id, outlines }) => outlines.map((outline) => ({ id, outline }))),
    frameRound(
      [{ u: frame.u[0], v: frame.v[0] }, { u: frame.u[1], v: frame.v[1] }, ...led.flatMap(({ at, to }) => [at, to])],
      0,
    ),
  );
  const wayOf = new Map(led.map(({ key }, index) => [key, ways[index]]));
  return {
    view,
    frame,
    seen,
    bundles: joined.map(({ key, kind, connections, at }) => {
      const way = wayOf.get(key);
      return { key, kind, connections, at, ...(way ? { way } : {}) };
    }),
  };
}

/** `frame` widened about its middle to at least `mm` each way. */
function atLeast({ u, v }: Frame, { wide, high }: { readonly wide: number; readonly high: number }): Frame {
  const widened = ([low, high]: readonly [number, number], least: number) => {
    const more = Math.max(0, least - (high - low)) / 2;
    return [low - more, high + more] as const;
  };
  return { u: widened(u, wide), v: widened(v, high) };
}

/** What of `map` is drawn in `view`: what is opened from there, and from a side all that one sees on it. */
export function connectionsIn(map: ConnectionMap, shape: MachineShape, view: View): readonly Connection[] {
  return map.connections.filter((connection) => {
    const own = viewOf(connection);
    if (own === view) return true;
    if ((view !== 'left' && view !== 'right') || own === 'inside' || own === 'left' || own === 'right') return false;
    const part = smaller(...endsOf(connection, map, shape));
    return part !== undefined && (view === 'left' ? part.middle.y : -part.middle.y) > -PAST_THE_MIDDLE_MM;
  });
}

/** How many connections each view of `map` shows. */
export function countsByView(map: ConnectionMap, shape: MachineShape): Readonly<Record<View, number>> {
  const counts = VIEWS.map((view) => [view, connectionsIn(map, shape, view).length] as const);
  return Object.fromEntries(counts) as Record<View, number>;
}

/** A bundle with the two ends of its line. */
interface Joint extends Omit<Bundle, 'way'> {
  readonly ends: readonly string[];
  readonly to?: Spot;
}

function joints(
  connections: readonly Connection[],
  map: ConnectionMap,
  shape: MachineShape,
  view: View,
): readonly Joint[] {
  const pairs = new Map<string, Map<ConnectionKind, Connection[]>>();
  for (const connection of connections) {
    const pair = `${[...connection.between].sort().join(' ')}${sideOf(connection) ?? ''}`;
    const kinds = pairs.get(pair) ?? new Map<ConnectionKind, Connection[]>();
    kinds.set(connection.kind, [...(kinds.get(connection.kind) ?? []), connection]);
    pairs.set(pair, kinds);
  }
  return [...pairs].flatMap(([pair, kinds]) => {
    const [first] = [...kinds.values()][0] ?? [];
    if (!first) return [];
    const ends = first.between;
    const [one, other] = endsOf(first, map, shape);
    const part = smaller(one, other);
    if (!part) return [];
    const against = part === one ? other : one;
    const { on, at } = against ? meetingOf(part, against) : atTheBody(part, shape, sideOf(first));
    const base = seenFrom(view, on);
    const to = against ? seenFrom(view, at) : undefined;
    return [...kinds].map(([kind, some], index): Joint => {
      const beside = spread(part, view, base, index, kinds.size);
      return { key: `${pair} ${kind}`, kind, connections: some, at: beside, ends, ...(to ? { to } : {}) };
    });
  });
}

/** The two a connection joins; nothing for the body, which has no shape of its own. */
function endsOf({ between }: Connection, { body }: ConnectionMap, { parts }: MachineShape) {
  const [one, other] = between.map((part) => (part === body ? undefined : parts.get(part)));
  return [one, other] as const;
}

/** A connection is opened at the smaller of its two parts; a loom is everywhere, so never at the loom. */
function smaller(one: Shaped | undefined, other: Shaped | undefined): Shaped | undefined {
  if (!one || !other) return one ?? other;
  if (one.id === 'loom') return other;
  if (other.id === 'loom') return one;
  return volume(one) <= volume(other) ? one : other;
}

function volume({ extent: { x, y, z } }: Shaped): number {
  return (x[1] - x[0]) * (y[1] - y[0]) * (z[1] - z[0]);
}

/** On which side a connection is, where its name or its place say so. */
function sideOf({ station, name }: Connection): 'left' | 'right' | undefined {
  if (station === 'wheel-left' || /\bleft\b/.test(name)) return 'left';
  if (station === 'wheel-right' || /\bright\b/.test(name)) return 'right';
  return undefined;
}

/** Where something is held by the body: at the next thing of the bay on its side, or in its own middle. */
function atTheBody(
  part: Shaped,
  { bay }: MachineShape,
  side: 'left' | 'right' | undefined,
): Pick<Meeting, 'on' | 'at'> {
  const [low, high] = part.extent.y;
  const beyond = (y: number) => (side === 'left' ? y > (low + high) / 2 : y < (low + high) / 2);
  const near = bay
    .map((feature) =>
      side ? { ...feature, solids: feature.solids.filter(({ across: [a, b] }) => beyond((a + b) / 2)) } : feature,
    )
    .filter(({ extent, solids }) => solids.length > 0 && apartAtLeast(part.extent, extent) <= BODY_WITHIN_MM)
    .map((feature) => meetingOf(part, feature))
    .reduce<Meeting | undefined>((best, one) => (!best || one.apartMm < best.apartMm ? one : best), undefined);
  if (near && near.apartMm <= BODY_WITHIN_MM) return near;
  const y = side === undefined ? part.middle.y : side === 'left' ? high : low;
  return { on: { ...part.middle, y }, at: { ...part.middle, y } };
}

/** Further bundles between the same two stand beside the first, along the part they are on. */
function spread(part: Shaped, view: View, { u, v }: Spot, index: number, count: number): Spot {
  if (count === 1) return { u, v };
  const frame = frameRound(corners(view, part.extent), 0);
  const along = frame.u[1] - frame.u[0] >= frame.v[1] - frame.v[0] ? 'u' : 'v';
  const [low, high] = frame[along];
  const step = Math.min(BESIDE_MM, (high - low) / count);
  const reach = (step * (count - 1)) / 2;
  const middle = Math.min(high - reach, Math.max(low + reach, along === 'u' ? u : v));
  const at = middle - reach + index * step;
  return along === 'u' ? { u: at, v } : { u, v: at };
}

function seenOf(one: Shaped, view: View, is: Seen['is'], largest: Shaped | undefined, off: ReadonlySet<PartId>): Seen {
  const { id, name, guessed } = one;
  const outlines = one.solids.map((solid) => outlineFrom(view, solid));
  const frame = frameRound(outlines.flat(), 0);
  const rimOnly = off.has(id) || (is !== 'powerpack' && largest !== undefined && hides(one, largest, view));
  return { id, name, outlines, frame, is, rimOnly, guessed };
}

/** Whether `one` lies over `other` and hides most of it. */
function hides(one: Shaped, other: Shaped, view: View): boolean {
  if (nearness(view, one.extent) < nearness(view, other.extent)) return false;
  const [over, under] = [one, other].map(({ extent }) => frameRound(corners(view, extent), 0));
  const share = (axis: 'u' | 'v') => {
    if (!over || !under) return 0;
    const [low, high] = under[axis];
    return Math.max(0, Math.min(high, over[axis][1]) - Math.max(low, over[axis][0])) / (high - low);
  };
  return share('u') * share('v') > LID_SHARE;
}

function corners(view: View, { x, y, z }: Extent): readonly Spot[] {
  return [seenFrom(view, { x: x[0], y: y[0], z: z[0] }), seenFrom(view, { x: x[1], y: y[1], z: z[1] })];
}

/** A floor or a wall that fills the whole picture says nothing. */
function isGround({ is, frame }: Seen, whole: Frame): boolean {
  const fills = (axis: 'u' | 'v') => frame[axis][0] <= whole[axis][0] && frame[axis][1] >= whole[axis][1];
  return is === 'bay' && fills('u') && fills('v');
}
