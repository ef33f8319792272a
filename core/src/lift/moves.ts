import { Gaps, poseBetween, WIDE_MM, type Gap, type Pose, type Scene } from '../clearance/index.js';

/** What a person does with hoist, jack or leveller. */
export type MoveKind = 'raise' | 'lower' | 'forward' | 'back' | 'tail-down' | 'nose-down';

/** How far one thing goes in a move: in mm, or in degrees of tilt. */
export interface MovePart {
  readonly kind: MoveKind;
  readonly amount: number;
}

/** One move: of one kind, or in a narrow place a little of each by turns. */
export interface Move {
  readonly parts: readonly MovePart[];
  readonly from: Pose;
  readonly to: Pose;
  /** Nothing comes nearer meanwhile, in mm. */
  readonly clearanceMm: number;
  /** What comes nearest at its end: what to look at. */
  readonly watch: readonly Gap[];
}

type Axis = 'xMm' | 'zMm' | 'tiltDeg';
/** Up first, then tilt, then along: as a crew would, where it makes no difference. */
const ORDERS: readonly (readonly Axis[])[] = [
  ['zMm', 'tiltDeg', 'xMm'],
  ['zMm', 'xMm', 'tiltDeg'],
  ['tiltDeg', 'zMm', 'xMm'],
  ['tiltDeg', 'xMm', 'zMm'],
  ['xMm', 'zMm', 'tiltDeg'],
  ['xMm', 'tiltDeg', 'zMm'],
];
/** Less than this is left for the next move. */
const LEAST: Readonly<Record<Axis, number>> = { xMm: 8, zMm: 8, tiltDeg: 1 };
/** A way is halved no more often than this between two of its corners. */
const HALVINGS = 1;
/** So much nearer than the way itself moves one after the other may come, in mm. */
const NEARER_MM = 2;
const LOOK_WITHIN_MM = 400;
const ROOM_MM = WIDE_MM;

/**
 * A way as moves: between two of its corners what is raised, tilted and moved along one after the other, in the order that
 * keeps most room; where none keeps what the whole way has, in halves, and where that does not either, all of it together,
 * a little of each by turns. Runs of one kind become one move.
 */
export function movesAlong(scene: Scene, poses: readonly Pose[]): readonly Move[] {
  const gaps = new Gaps(scene);
  const [first] = poses;
  if (!first) return [];
  const enoughMm = leastAlong(gaps, poses) - NEARER_MM;
  const steps: Pose[] = [first];
  const go = (to: Pose, depth: number): void => {
    const from = steps.at(-1) ?? first;
    const [best] = ORDERS.map((order) => cornersOf(from, to, order))
      .map((corners) => ({ corners, mm: leastAlong(gaps, [from, ...corners]) }))
      .sort((one, other) => other.mm - one.mm);
    if (!best) return;
    if (best.mm >= enoughMm) steps.push(...best.corners);
    else if (depth === HALVINGS) steps.push(to);
    else {
      go(poseBetween(from, to, 0.5), depth + 1);
      go(to, depth + 1);
    }
  };
  for (const to of poses.slice(1)) go(to, 0);
  return joined(steps).map(([from, to]) => ({
    parts: partsOf(from, to),
    from,
    to,
    clearanceMm: gaps.along(from, to, -Infinity, ROOM_MM),
    watch: gaps.nearest(to, 3, LOOK_WITHIN_MM),
  }));
}

function leastAlong(gaps: Gaps, poses: readonly Pose[]): number {
  return poses
    .slice(1)
    .reduce((least, to, index) => gaps.along(poses[index] as Pose, to, -Infinity, least, 1), ROOM_MM);
}

function cornersOf(from: Pose, to: Pose, order: readonly Axis[]): readonly Pose[] {
  let at = from;
  return order.flatMap((axis) => {
    if (Math.abs(to[axis] - at[axis]) < LEAST[axis]) return [];
    at = { ...at, [axis]: to[axis] };
    return [at];
  });
}

/** Runs of one kind as one. */
function joined(poses: readonly Pose[]): readonly (readonly [Pose, Pose])[] {
  const runs: [Pose, Pose][] = [];
  poses.slice(1).forEach((to, index) => {
    const from = poses[index] as Pose;
    const parts = partsOf(from, to);
    if (parts.length === 0) return;
    const last = runs.at(-1);
    const before = last && partsOf(last[0], last[1]);
    if (last && before?.length === 1 && parts.length === 1 && before[0]?.kind === parts[0]?.kind) last[1] = to;
    else runs.push([from, to]);
  });
  return runs;
}

function partsOf(from: Pose, to: Pose): readonly MovePart[] {
  const part = (by: number, least: number, more: MoveKind, less: MoveKind): readonly MovePart[] =>
    Math.abs(by) < least ? [] : [{ kind: by > 0 ? more : less, amount: Math.abs(by) }];
  return [
    ...part(to.zMm - from.zMm, 1, 'raise', 'lower'),
    ...part(to.xMm - from.xMm, 1, 'forward', 'back'),
    ...part(to.tiltDeg - from.tiltDeg, 0.5, 'tail-down', 'nose-down'),
  ];
}

/** What one go of hoist or jack is, in mm, unless a crew says otherwise. */
export const GO_MM = 50;

/** How many goes a move takes that is done so many millimetres at a time. */
export function goesOf({ from, to }: Move, goMm = GO_MM): number {
  const far = Math.max(Math.abs(to.xMm - from.xMm), Math.abs(to.zMm - from.zMm));
  return Math.max(1, Math.ceil((far - 1) / goMm));
}

const BACK: Readonly<Record<MoveKind, MoveKind>> = {
  raise: 'lower',
  lower: 'raise',
  forward: 'back',
  back: 'forward',
  'tail-down': 'nose-down',
  'nose-down': 'tail-down',
};

/** The same moves the way back in: last first, each turned round. */
export function wayBack(moves: readonly Move[]): readonly Move[] {
  return [...moves].reverse().map((move) => ({
    ...move,
    parts: move.parts.map(({ kind, amount }) => ({ kind: BACK[kind], amount })),
    from: move.to,
    to: move.from,
  }));
}
