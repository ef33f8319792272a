import { fieldAt, type Grid } from './field.js';
import { travelMm } from './gaps.js';
import { Heap } from './heap.js';
import { SEATED, type Pose, type Scene } from './scene.js';

const { floor, max, min, round } = Math;

/** What a clearance is not wanted wider than: beyond it nobody takes the longer way. */
export const WIDE_MM = 50;

/** A way over the grid, and what the grid makes of its narrowest place, in mm. */
export interface GridWay {
  readonly poses: readonly Pose[];
  readonly narrowestMm: number;
}

/**
 * The way over `grid` from the seat to clear of the machine whose narrowest place is widest; of those the shortest, with
 * tilting counted by how far it moves the farthest corner. Found in two passes: cells joined from the widest down until
 * seat and way out meet (union-find), then the shortest way over cells no narrower (Dijkstra). Yields after each tilt and
 * every few thousand cells, with the share done, so that it can be stopped. Nothing where no way leads out at all.
 */
export function* widestWay(
  scene: Scene,
  grid: Grid,
  isOut: (pose: Pose) => boolean,
  { reachMm, seatedMm }: { readonly reachMm: number; readonly seatedMm: number },
): Generator<number, GridWay | undefined> {
  const { columns, rows, tiltsDeg, cellMm, x0Mm, z0Mm } = grid;
  const layer = columns * rows;
  const clear = new Float32Array(layer * tiltsDeg.length);
  for (const [tilt, tiltDeg] of tiltsDeg.entries()) {
    clear.set(fieldAt(scene, grid, tiltDeg), tilt * layer);
    yield (0.7 * (tilt + 1)) / tiltsDeg.length;
  }
  const poseOf = (cell: number): Pose => {
    const inLayer = cell % layer;
    return {
      xMm: x0Mm + (inLayer % columns) * cellMm,
      zMm: z0Mm + floor(inLayer / columns) * cellMm,
      tiltDeg: tiltsDeg[floor(cell / layer)] as number,
    };
  };
  const beside = neighbours(columns, rows, tiltsDeg.length);
  const seat = tiltsDeg.indexOf(0) * layer + round(-z0Mm / cellMm) * columns + round(-x0Mm / cellMm);

  // From the widest down: a place beyond all cells stands for “out”.
  const OUT = clear.length;
  const sets = new Int32Array(OUT + 1).fill(-1);
  const root = (cell: number): number => {
    let top = cell;
    while ((sets[top] as number) >= 0) top = sets[top] as number;
    for (let at = cell; at !== top;) {
      const next = sets[at] as number;
      sets[at] = top;
      at = next;
    }
    return top;
  };
  const join = (one: number, other: number) => {
    const [a, b] = [root(one), root(other)];
    if (a === b) return;
    const [large, small] = (sets[a] as number) <= (sets[b] as number) ? [a, b] : [b, a];
    sets[large] = (sets[large] as number) + (sets[small] as number);
    sets[small] = large;
  };
  settle(clear, seatedMm, (cell) => travelMm(SEATED, poseOf(cell), reachMm));
  const widthOf = (cell: number) => min(clear[cell] as number, WIDE_MM);
  const order = byWidth(clear);
  const open = new Uint8Array(clear.length);
  let narrowestMm: number | undefined;
  let seen = 0;
  for (const cell of order) {
    open[cell] = 1;
    beside(cell, (other) => {
      if (open[other] === 1) join(cell, other);
    });
    if (isOut(poseOf(cell))) join(cell, OUT);
    if (open[seat] === 1 && root(seat) === root(OUT)) {
      // Sorted to the millimetre: another as wide may be a part of one narrower.
      narrowestMm = floor(widthOf(cell));
      break;
    }
    seen += 1;
    if (seen % 20_000 === 0) yield 0.7 + (0.15 * seen) / order.length;
  }
  if (narrowestMm === undefined) return undefined;

  const floorMm = narrowestMm;
  const costs = new Float64Array(clear.length).fill(Infinity);
  const cameFrom = new Int32Array(clear.length).fill(-1);
  const queue = new Heap<number>();
  costs[seat] = 0;
  queue.push(seat, 0);
  for (let taken = 0; ; taken += 1) {
    const cell = queue.pop();
    if (cell === undefined) return undefined;
    const cost = costs[cell] as number;
    const here = poseOf(cell);
    if (isOut(here)) {
      const poses: Pose[] = [];
      for (let at = cell; at >= 0; at = cameFrom[at] as number) poses.push(poseOf(at));
      return { poses: poses.reverse(), narrowestMm: floorMm };
    }
    beside(cell, (other) => {
      if (widthOf(other) < floorMm && other !== seat) return;
      // The narrower the place, the longer the same step counts: of two short ways the roomier one.
      const worth = 1 + (WIDE_MM - max(0, widthOf(other))) / WIDE_MM;
      const next = cost + worth * travelMm(here, poseOf(other), reachMm / 2);
      if (next >= (costs[other] as number)) return;
      costs[other] = next;
      cameFrom[other] = cell;
      queue.push(other, next);
    });
    if (taken % 20_000 === 19_999) yield 0.9;
  }
}

/** Nearer to its seat than this, no tighter than it sits is no pinch, in mm. */
export const SEAT_MM = 60;

/** Round the seat things are close by nature: what is no tighter there than where it sits counts as wide. */
function settle(clear: Float32Array, seatedMm: number, awayMm: (cell: number) => number): void {
  for (let cell = 0; cell < clear.length; cell += 1) {
    const mm = clear[cell] as number;
    if (mm < WIDE_MM && mm > min(0, seatedMm) - SLACK_MM && awayMm(cell) <= SEAT_MM && mm >= seatedMm - SLACK_MM)
      clear[cell] = WIDE_MM;
  }
}
/** A grid is true to about half a cell. */
const SLACK_MM = 12;

/** The cells beside one: along, up, tilt, and both along and up at once. */
function neighbours(columns: number, rows: number, tilts: number) {
  const layer = columns * rows;
  return (cell: number, visit: (other: number) => void): void => {
    const inLayer = cell % layer;
    const column = inLayer % columns;
    const row = (inLayer - column) / columns;
    const tilt = (cell - inLayer) / layer;
    for (let up = -1; up <= 1; up += 1) {
      if (row + up < 0 || row + up >= rows) continue;
      for (let along = -1; along <= 1; along += 1) {
        if (column + along < 0 || column + along >= columns || (up === 0 && along === 0)) continue;
        visit(cell + up * columns + along);
      }
    }
    if (tilt > 0) visit(cell - layer);
    if (tilt < tilts - 1) visit(cell + layer);
  };
}

/** Cells from the widest to the narrowest, to the millimetre (counting sort). */
function byWidth(clear: Float32Array): Int32Array {
  const bucket = (cell: number) => WIDE_MM - max(DEEPEST_MM, floor(min(clear[cell] as number, WIDE_MM)));
  const starts = new Int32Array(WIDE_MM - DEEPEST_MM + 2);
  for (let cell = 0; cell < clear.length; cell += 1) {
    const after = bucket(cell) + 1;
    starts[after] = (starts[after] as number) + 1;
  }
  for (let index = 1; index < starts.length; index += 1)
    starts[index] = (starts[index] as number) + (starts[index - 1] as number);
  const order = new Int32Array(clear.length);
  for (let cell = 0; cell < clear.length; cell += 1) {
    const at = bucket(cell);
    const place = starts[at] as number;
    order[place] = cell;
    starts[at] = place + 1;
  }
  return order;
}
/** Deeper than this nobody asks how deep. */
const DEEPEST_MM = -600;
