import { type Gaps, poseBetween, travelMm } from './gaps.js';
import { Heap } from './heap.js';
import { SEATED, type Pose } from './scene.js';
import { SEAT_MM, WIDE_MM } from './widest-way.js';

const { ceil, hypot, max, min, round } = Math;

/** How many cells to either side of a way are looked at. */
const BESIDE = 3;

/**
 * `poses`, found on a grid of `cellMm`, led anew through its narrow places on finer and finer grids round it, each half
 * as wide as the one before, with the exact gap in every cell; what is roomy stays as it is. Yields every few hundred
 * cells.
 */
export function* refined(
  gaps: Gaps,
  poses: readonly Pose[],
  { cellMm, finestMm }: { readonly cellMm: number; readonly finestMm: number },
): Generator<number, readonly Pose[]> {
  let now = poses;
  const room = roomOf(gaps);
  for (let cell = cellMm / 2; ; cell /= 2) {
    const size = max(finestMm, cell);
    now = yield* once(gaps, room, now, size);
    if (size === finestMm) return now;
  }
}

/** The gap at a pose, up to what is wide; round the seat, no tighter than it sits is as good as wide. */
export function roomOf(gaps: Gaps): (pose: Pose) => number {
  const seatedMm = gaps.at(SEATED, WIDE_MM)?.mm ?? WIDE_MM;
  return (pose) => {
    const mm = gaps.at(pose, WIDE_MM)?.mm ?? WIDE_MM;
    return mm >= seatedMm - 0.5 && travelMm(SEATED, pose, gaps.reachMm) <= SEAT_MM ? WIDE_MM : mm;
  };
}

function* once(
  gaps: Gaps,
  room: (pose: Pose) => number,
  poses: readonly Pose[],
  cellMm: number,
): Generator<number, readonly Pose[]> {
  const fine = closely(poses, cellMm, gaps.reachMm / 2);
  const rooms = fine.map(room);
  const least = min(...rooms);
  if (least >= WIDE_MM) return poses;
  const capMm = min(WIDE_MM, least + 4 * cellMm);
  const made: Pose[] = [];
  for (let index = 0; index < fine.length;) {
    if ((rooms[index] ?? 0) >= capMm) {
      made.push(fine[index] as Pose);
      index += 1;
      continue;
    }
    let end = index;
    while (end < fine.length - 1 && (rooms[end + 1] ?? 0) < capMm) end += 1;
    const before = max(0, index - 1);
    // What leaves the seat narrowly is led anew from the seat: it may have to go aside before it goes up.
    const from = travelMm(SEATED, fine[before] as Pose, gaps.reachMm) <= SEAT_MM ? 0 : before;
    const to = min(fine.length - 1, end + 1);
    made.splice(from === 0 ? 0 : made.length - (index - from));
    made.push(...(yield* ledAnew(gaps, room, fine.slice(from, to + 1), cellMm, capMm)));
    index = to + 1;
  }
  return made;
}

interface Cell {
  readonly pose: Pose;
  readonly x: number;
  readonly z: number;
  readonly t: number;
  width: number;
  length: number;
  before?: Cell | undefined;
  settled: boolean;
}

/** The widest way from the first to the last of `poses` over a lattice round them; of equally wide ones the shortest. */
function* ledAnew(
  { scene, reachMm }: Gaps,
  room: (pose: Pose) => number,
  poses: readonly Pose[],
  cellMm: number,
  capMm: number,
): Generator<number, readonly Pose[]> {
  const [first, last] = [poses[0] as Pose, poses.at(-1) as Pose];
  const arm = reachMm / 2;
  const stepDeg = (cellMm / arm) * (180 / Math.PI);
  const near = new Set<number>();
  const at = ({ xMm, zMm, tiltDeg }: Pose) =>
    [round(xMm / cellMm), round(zMm / cellMm), round(tiltDeg / stepDeg)] as const;
  for (const pose of poses) {
    const [x, z, t] = at(pose);
    for (let dx = -BESIDE; dx <= BESIDE; dx += 1)
      for (let dz = -BESIDE; dz <= BESIDE; dz += 1)
        for (let dt = -BESIDE; dt <= BESIDE; dt += 1) near.add(keyOf(x + dx, z + dz, t + dt));
  }
  const inside = ([low, high]: readonly [number, number], value: number) => value >= low && value <= high;
  const cells = new Map<number, Cell>();
  const cellAt = (x: number, z: number, t: number): Cell | undefined => {
    const key = keyOf(x, z, t);
    const there = cells.get(key);
    if (there || !near.has(key)) return there;
    const pose = { xMm: x * cellMm, zMm: z * cellMm, tiltDeg: t * stepDeg };
    if (!inside(scene.xMm, pose.xMm) || !inside(scene.zMm, pose.zMm) || !inside(scene.tiltDeg, pose.tiltDeg))
      return undefined;
    const made: Cell = { pose, x, z, t, width: -Infinity, length: Infinity, settled: false };
    cells.set(key, made);
    return made;
  };
  const goal = cellAt(...at(last));
  const start = cellAt(...at(first));
  if (!goal || !start) return poses;
  const rooms = new Map<Cell, number>();
  const roomAt = (cell: Cell) => {
    const known = rooms.get(cell);
    if (known !== undefined) return known;
    const mm = min(capMm, room(cell.pose));
    rooms.set(cell, mm);
    return mm;
  };
  // The widest first; as wide, the shortest: a length is less than a hundredth of a millimetre of width.
  const costOf = ({ width, length }: Cell) => -round(width * 10) + length / 1e6;
  const queue = new Heap<Cell>();
  start.width = capMm;
  start.length = 0;
  queue.push(start, costOf(start));
  for (let taken = 1; ; taken += 1) {
    const cell = queue.pop();
    if (!cell) return poses;
    if (cell.settled) continue;
    cell.settled = true;
    if (cell === goal) break;
    for (const [dx, dz, dt] of STEPS) {
      const other = cellAt(cell.x + dx, cell.z + dz, cell.t + dt);
      if (!other || other.settled) continue;
      const width = min(cell.width, roomAt(other));
      const length = cell.length + cellMm * hypot(dx, dz, dt);
      if (width < other.width - 0.05 || (width < other.width + 0.05 && length >= other.length)) continue;
      other.width = width;
      other.length = length;
      other.before = cell;
      queue.push(other, costOf(other));
    }
    if (taken % 300 === 0) yield 0.95;
  }
  const way: Pose[] = [];
  for (let cell: Cell | undefined = goal; cell; cell = cell.before) way.push(cell.pose);
  return [first, ...way.reverse(), last];
}

/** How far from the middle a cell can be, in cells: three such numbers are told apart in one. */
const FARTHEST = 2 ** 16;

const keyOf = (x: number, z: number, t: number) =>
  ((x + FARTHEST) * 2 * FARTHEST + z + FARTHEST) * 2 * FARTHEST + t + FARTHEST;

const STEPS = [-1, 0, 1].flatMap((dx) =>
  [-1, 0, 1].flatMap((dz) =>
    [-1, 0, 1].filter((dt) => dx !== 0 || dz !== 0 || dt !== 0).map((dt) => [dx, dz, dt] as const),
  ),
);

/** Poses along a way, no farther apart than `everyMm` for any corner within `reachMm`. */
export function closely(poses: readonly Pose[], everyMm: number, reachMm: number): readonly Pose[] {
  const [first] = poses;
  if (!first) return [];
  return [
    first,
    ...poses.slice(1).flatMap((to, index) => {
      const from = poses[index] ?? first;
      const count = max(1, ceil(travelMm(from, to, reachMm) / everyMm));
      return Array.from({ length: count }, (_, step) => poseBetween(from, to, (step + 1) / count));
    }),
  ];
}
