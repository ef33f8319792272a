import { Gaps, poseBetween, type Gap, type Pose, type Scene } from '../clearance/index.js';

/** What a person does with hoist, jack or leveller. */
export type MoveKind = 'raise' | 'lower' | 'out' | 'in' | 'tail-down' | 'nose-down';

/** One move of one kind. */
export interface Move {
  readonly kind: MoveKind;
  /** In mm, or in degrees of tilt. */
  readonly amount: number;
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
const HALVINGS = 5;
/** So much nearer than the way itself moves one after the other may come, in mm. */
const NEARER_MM = 2;
const LOOK_WITHIN_MM = 400;
const ROOM_MM = 80;

/**
 * A way as moves one after the other: between two of its corners what is raised, tilted and moved along in the order that
 * keeps most room; where none keeps what the whole way has, the stretch is halved. Runs of one kind become one move.
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
    if (best.mm >= enoughMm || depth === HALVINGS) {
      steps.push(...best.corners);
      return;
    }
    go(poseBetween(from, to, 0.5), depth + 1);
    go(to, depth + 1);
  };
  for (const to of poses.slice(1)) go(to, 0);
  return joined(steps, scene).map(([kind, from, to]) => moveOf(gaps, kind, from, to));
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
function joined(poses: readonly Pose[], scene: Scene): readonly (readonly [MoveKind, Pose, Pose])[] {
  const runs: [MoveKind, Pose, Pose][] = [];
  poses.slice(1).forEach((to, index) => {
    const from = poses[index] as Pose;
    const kind = kindOf(from, to, scene);
    if (!kind) return;
    const last = runs.at(-1);
    if (last?.[0] === kind) last[2] = to;
    else runs.push([kind, from, to]);
  });
  return runs;
}

function kindOf(from: Pose, to: Pose, { out }: Scene): MoveKind | undefined {
  const ahead = out.towards === 'nose' ? 1 : -1;
  if (Math.abs(to.zMm - from.zMm) >= LEAST.zMm) return to.zMm > from.zMm ? 'raise' : 'lower';
  if (Math.abs(to.tiltDeg - from.tiltDeg) >= LEAST.tiltDeg)
    return to.tiltDeg > from.tiltDeg ? 'tail-down' : 'nose-down';
  if (Math.abs(to.xMm - from.xMm) >= LEAST.xMm) return (to.xMm - from.xMm) * ahead > 0 ? 'out' : 'in';
  return undefined;
}

function moveOf(gaps: Gaps, kind: MoveKind, from: Pose, to: Pose): Move {
  return {
    kind,
    amount: Math.abs(to.xMm - from.xMm) + Math.abs(to.zMm - from.zMm) + Math.abs(to.tiltDeg - from.tiltDeg),
    from,
    to,
    clearanceMm: gaps.along(from, to, -Infinity, ROOM_MM),
    watch: gaps.nearest(to, 3, LOOK_WITHIN_MM),
  };
}

const BACK: Readonly<Record<MoveKind, MoveKind>> = {
  raise: 'lower',
  lower: 'raise',
  out: 'in',
  in: 'out',
  'tail-down': 'nose-down',
  'nose-down': 'tail-down',
};

/** The same moves the way back in: last first, each turned round. */
export function wayBack(moves: readonly Move[]): readonly Move[] {
  return [...moves].reverse().map((move) => ({ ...move, kind: BACK[move.kind], from: move.to, to: move.from }));
}
