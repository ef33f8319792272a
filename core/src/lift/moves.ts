import {
  closely,
  furtherOn,
  Gaps,
  nearestOn,
  onFrom,
  outOf,
  pairOf,
  poseBetween,
  pushedFrom,
  SEATED,
  WIDE_MM,
  type Gap,
  type NearestOn,
  type Pose,
  type PushedAside,
  type Scene,
} from '../clearance/index.js';

/** What a person does with hoist, jack or leveller. */
export type MoveKind = 'raise' | 'lower' | 'forward' | 'back' | 'tail-down' | 'nose-down' | 'left' | 'right';

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
  /** What comes nearest meanwhile: what to look at. */
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
/** So much nearer than the way itself moves one after the other may come, in mm. */
const NEARER_MM = 2;
const LOOK_WITHIN_MM = 400;

/**
 * A way as moves: between two of its corners what is raised, tilted and moved along one after the other, in the order that
 * keeps most room; where none keeps what the whole way has, in halves, and where neither does, all of it together, a little
 * of each by turns. Runs of one kind become one move.
 */
export function movesAlong(scene: Scene, poses: readonly Pose[]): readonly Move[] {
  const gaps = new Gaps(scene);
  const [first] = poses;
  if (!first) return [];
  const way = nearestOn(gaps, poses);
  const steps: Pose[] = [first];
  const inTurn = (from: Pose, to: Pose): readonly Pose[] | undefined => {
    const [best] = ORDERS.map((order) => cornersOf(from, to, order))
      .map((corners) => ({ corners, spareMm: spareOf(nearestOn(gaps, [from, ...corners], 1), way) }))
      .sort((one, other) => other.spareMm - one.spareMm);
    return best && best.spareMm >= -NEARER_MM ? best.corners : undefined;
  };
  for (const to of poses.slice(1)) {
    const from = steps.at(-1) ?? first;
    const middle = poseBetween(from, to, 0.5);
    const whole = inTurn(from, to);
    const half = whole ? undefined : inTurn(from, middle);
    const rest = whole ? undefined : inTurn(half?.at(-1) ?? middle, to);
    if (whole) steps.push(...whole);
    else if (half || rest) steps.push(...(half ?? [middle]), ...(rest ?? [to]));
    else steps.push(to);
  }
  return needed(joined(steps), outOf(scene)).map(([from, to]) => ({
    parts: partsOf(from, to),
    from,
    to,
    clearanceMm: gaps.along(from, to, -Infinity, WIDE_MM),
    watch: nearestBetween(gaps, from, to),
  }));
}

/** Runs without a last tilt that is made where it is out already. */
function needed(
  runs: readonly (readonly [Pose, Pose])[],
  isOut: (pose: Pose) => boolean,
): readonly (readonly [Pose, Pose])[] {
  const last = runs.at(-1);
  const tiltsOnly = last && partsOf(last[0], last[1]).every(({ kind }) => kind === 'tail-down' || kind === 'nose-down');
  return last && tiltsOnly && isOut(last[0]) ? needed(runs.slice(0, -1), isOut) : runs;
}

/** What comes nearest anywhere on a move, nearest first. */
function nearestBetween(gaps: Gaps, from: Pose, to: Pose): readonly Gap[] {
  const byThings = new Map<string, Gap>();
  for (const pose of closely([from, to], LOOK_EVERY_MM, gaps.reachMm))
    for (const gap of gaps.nearest(pose, WATCHED, LOOK_WITHIN_MM)) {
      const key = pairOf(gap.moving, gap.still);
      if (gap.mm < (byThings.get(key)?.mm ?? Infinity)) byThings.set(key, gap);
    }
  return [...byThings.values()].sort((one, other) => one.mm - other.mm).slice(0, WATCHED);
}
const WATCHED = 3;
const LOOK_EVERY_MM = 20;

/** How much more room than the whole way has some stretch has, round the seat and once it has left it, in mm. */
function spareOf(stretch: NearestOn, way: NearestOn): number {
  return Math.min(stretch.seatMm - Math.min(way.seatMm, way.wayMm), stretch.wayMm - way.wayMm);
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
    ...part(to.zMm - from.zMm, SAID_MM, 'raise', 'lower'),
    ...part(to.xMm - from.xMm, SAID_MM, 'forward', 'back'),
    ...part(to.tiltDeg - from.tiltDeg, 0.5, 'tail-down', 'nose-down'),
  ];
}

/** What nobody can do by hand on a hoist is not said, in mm. */
const SAID_MM = 4;

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
  left: 'right',
  right: 'left',
};

/** The moves of a load that is pushed aside on its way: until there, the push, and from there. */
export function movesPushedAside(scene: Scene, { yMm, at, before, after, meanwhileMm }: PushedAside): readonly Move[] {
  const aside = pushedFrom(scene, at, yMm);
  return [
    ...movesAlong(scene, before),
    {
      parts: [{ kind: yMm > 0 ? 'left' : 'right', amount: Math.abs(yMm) }],
      from: at,
      to: at,
      clearanceMm: meanwhileMm,
      watch: new Gaps(aside).nearest(SEATED, WATCHED, LOOK_WITHIN_MM),
    },
    ...movesAlong(
      aside,
      after.map((pose) => onFrom(at, pose)),
    ).map((move) => ({ ...move, from: furtherOn(at, move.from), to: furtherOn(at, move.to) })),
  ];
}

/** The same moves the way back in: last first, each turned round. */
export function wayBack(moves: readonly Move[]): readonly Move[] {
  return [...moves].reverse().map((move) => ({
    ...move,
    parts: move.parts.map(({ kind, amount }) => ({ kind: BACK[kind], amount })),
    from: move.to,
    to: move.from,
  }));
}
