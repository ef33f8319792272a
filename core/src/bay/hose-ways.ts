import { Heap } from '../clearance/heap.js';
import type { Frame, Spot } from './views.js';

// By name: this is asked often, and looking a global up takes longer than what it does.
const { ceil, floor, hypot, max, min, sign } = Math;

/** How fine a hose is laid, in mm. */
const CELL_MM = 45;
/** What a way costs that runs over something hard, round a corner, and beside one of its own system. */
const OVER = 3.2;
const CORNER = 0.3;
const BESIDE = 0.55;

/** Something a hose is rather led round than over. */
export interface InTheWay {
  readonly id: string;
  readonly outline: readonly Spot[];
}

/** A hose, pipe, cable or loom to be led. */
export interface ToLead {
  readonly from: Spot;
  readonly to: Spot;
  /** The two it joins: it may run over these. */
  readonly ends: readonly string[];
  /** What shares its clips: those of one system run side by side where they can. */
  readonly along: string;
}

/**
 * A plausible way for each of `hoses` over the picture: round what is hard rather than over it, beside what is of the
 * same system, with few corners. The cheapest way over a lattice of 45 mm (E. W. Dijkstra, 1959), its ends where they
 * are given; never more than where the frame ends.
 */
export function leadHoses(
  hoses: readonly ToLead[],
  inTheWay: readonly InTheWay[],
  { u, v }: Frame,
): readonly (readonly Spot[])[] {
  const grid: Grid = {
    u: u[0],
    v: v[0],
    columns: max(1, ceil((u[1] - u[0]) / CELL_MM)),
    rows: max(1, ceil((v[1] - v[0]) / CELL_MM)),
  };
  const { columns, rows } = grid;
  const covers = inTheWay.map(({ id, outline }) => ({ id, cells: cellsUnder(outline, grid) }));
  const usedBy = new Map<string, Set<number>>();
  return hoses.map(({ from, to, ends, along }) => {
    const over = new Float64Array(columns * rows).fill(1);
    for (const { id, cells } of covers) if (!ends.includes(id)) for (const cell of cells) over[cell] = OVER;
    const used = usedBy.get(along) ?? new Set<number>();
    usedBy.set(along, used);
    for (const cell of used) over[cell] = (over[cell] as number) * BESIDE;
    const cells = cheapest(cellAt(from, grid), cellAt(to, grid), over, grid);
    for (const cell of cells) used.add(cell);
    return straightened([from, ...cells.slice(1, -1).map((cell) => middleOf(cell, grid)), to]);
  });
}

/** The lattice: where it begins, and how many cells it has each way. */
interface Grid {
  readonly u: number;
  readonly v: number;
  readonly columns: number;
  readonly rows: number;
}

function middleOf(cell: number, { u, v, columns }: Grid): Spot {
  return { u: u + ((cell % columns) + 0.5) * CELL_MM, v: v + (floor(cell / columns) + 0.5) * CELL_MM };
}

function columnAt(at: number, { u, columns }: Grid): number {
  return min(columns - 1, max(0, floor((at - u) / CELL_MM)));
}

function rowAt(at: number, { v, rows }: Grid): number {
  return min(rows - 1, max(0, floor((at - v) / CELL_MM)));
}

function cellAt(spot: Spot, grid: Grid): number {
  return rowAt(spot.v, grid) * grid.columns + columnAt(spot.u, grid);
}

function cellsUnder(outline: readonly Spot[], grid: Grid): readonly number[] {
  const us = outline.map(({ u }) => u);
  const vs = outline.map(({ v }) => v);
  const cells: number[] = [];
  for (let row = rowAt(min(...vs), grid); row <= rowAt(max(...vs), grid); row += 1)
    for (let column = columnAt(min(...us), grid); column <= columnAt(max(...us), grid); column += 1) {
      const cell = row * grid.columns + column;
      if (isInside(outline, middleOf(cell, grid))) cells.push(cell);
    }
  return cells;
}

/** Whether `spot` is inside a convex outline, whichever way that goes round. */
function isInside(outline: readonly Spot[], spot: Spot): boolean {
  let side = 0;
  return outline.every((one, index) => {
    const next = outline[(index + 1) % outline.length] ?? one;
    const turn = sign((next.u - one.u) * (spot.v - one.v) - (next.v - one.v) * (spot.u - one.u));
    if (turn === 0) return true;
    if (side === 0) side = turn;
    return turn === side;
  });
}

const STEPS = [
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
  [-1, 0],
  [-1, -1],
  [0, -1],
  [1, -1],
] as const;

/** The cells of the cheapest way: A* (Hart, Nilsson, Raphael, 1968), a corner told by the step one came with. */
function cheapest(start: number, end: number, over: Float64Array, { columns, rows }: Grid): readonly number[] {
  const cost = new Float64Array(over.length).fill(Infinity);
  const from = new Int32Array(over.length).fill(-1);
  const came = new Int8Array(over.length).fill(-1);
  const queue = new Heap<number>();
  const [endColumn, endRow] = [end % columns, floor(end / columns)];
  cost[start] = 0;
  queue.push(start, 0);
  for (let cell = queue.pop(); cell !== undefined && cell !== end; cell = queue.pop()) {
    const column = cell % columns;
    const row = floor(cell / columns);
    for (let way = 0; way < STEPS.length; way += 1) {
      const [right, down] = STEPS[way] as (typeof STEPS)[number];
      if (column + right < 0 || column + right >= columns || row + down < 0 || row + down >= rows) continue;
      const next = cell + right + down * columns;
      const corner = came[cell] === -1 || came[cell] === way ? 0 : CORNER;
      const step = right !== 0 && down !== 0 ? Math.SQRT2 : 1;
      const sum = (cost[cell] as number) + step * (over[next] as number) + corner;
      if (sum >= (cost[next] as number)) continue;
      cost[next] = sum;
      from[next] = cell;
      came[next] = way;
      queue.push(next, sum + BESIDE * hypot(column + right - endColumn, row + down - endRow));
    }
  }
  const cells: number[] = [];
  for (let cell = end; cell >= 0; cell = from[cell] as number) cells.unshift(cell);
  return cells;
}

/** Without the corners that lie on the line between their neighbours. */
function straightened(way: readonly Spot[]): readonly Spot[] {
  return way.filter((spot, index) => {
    const [before, after] = [way[index - 1], way[index + 1]];
    if (!before || !after) return true;
    const turn = (spot.u - before.u) * (after.v - spot.v) - (spot.v - before.v) * (after.u - spot.u);
    return Math.abs(turn) > 1;
  });
}
