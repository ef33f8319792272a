import { minkowskiDifference, type Point } from '../shape/index.js';
import { squaredDistances } from './distance-transform.js';
import { meets, turned, type Scene } from './scene.js';

const { ceil, floor, hypot, max, min, sqrt } = Math;

/** Where a powerpack is looked for: cells along and up, and tilts. */
export interface Grid {
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly tiltsDeg: readonly number[];
  readonly x0Mm: number;
  readonly z0Mm: number;
}

/** A grid over all a scene allows; its seat is the middle of a cell, and no tilt is one of its tilts. */
export function gridOver({ xMm, zMm, tiltDeg }: Scene, cellMm: number, stepDeg: number): Grid {
  const before = floor(-xMm[0] / cellMm);
  const below = floor(-zMm[0] / cellMm);
  const down = floor(-tiltDeg[0] / stepDeg);
  const up = floor(tiltDeg[1] / stepDeg);
  return {
    cellMm,
    x0Mm: -before * cellMm,
    z0Mm: -below * cellMm,
    columns: before + floor(xMm[1] / cellMm) + 1,
    rows: below + floor(zMm[1] / cellMm) + 1,
    tiltsDeg: Array.from({ length: down + up + 1 }, (_, index) => (index - down) * stepDeg),
  };
}

/**
 * For one tilt, how far every cell of the grid is from the nearest place where something would touch, in mm, true to
 * about a cell; below zero how deep the deepest pair is in each other there. Where it may not be is the union of what every
 * pair that meets across the machine forbids, drawn into the grid.
 */
export function fieldAt(scene: Scene, grid: Grid, tiltDeg: number): Float32Array {
  const { columns, rows, cellMm } = grid;
  const field = new Float32Array(columns * rows);
  const outlines = scene.moving.map(({ outline }) => turned(outline, scene.pivot, tiltDeg));
  for (const [index, mine] of scene.moving.entries())
    for (const theirs of scene.still)
      if (meets(scene, mine, theirs))
        deepen(field, grid, minkowskiDifference(theirs.outline, outlines[index] ?? []), scene.pivot);
  const forbidden = new Uint8Array(columns * rows);
  for (let cell = 0; cell < field.length; cell += 1) if ((field[cell] as number) < 0) forbidden[cell] = 1;
  const outside = squaredDistances(forbidden, columns, rows);
  for (let cell = 0; cell < field.length; cell += 1)
    if (forbidden[cell] === 0) field[cell] = cellMm * (min(sqrt(outside[cell] as number), columns + rows) - 0.5);
  return field;
}

/** Puts how deep its cells are in a convex outline into the field, row by row, where that is deeper than what is there. */
function deepen(
  field: Float32Array,
  { columns, rows, cellMm, x0Mm, z0Mm }: Grid,
  outline: readonly Point[],
  pivot: Point,
): void {
  const zOff = pivot.z + z0Mm;
  const xOff = pivot.x + x0Mm;
  // What is inside is on the left of every edge: `a·x + b·z + c` is how far.
  const edges = new Float64Array(outline.length * 3);
  let count = 0;
  let low = Infinity;
  let high = -Infinity;
  for (let index = 0; index < outline.length; index += 1) {
    const one = outline[index] as Point;
    const next = outline[(index + 1) % outline.length] as Point;
    low = min(low, one.z);
    high = max(high, one.z);
    const length = hypot(next.x - one.x, next.z - one.z);
    if (length === 0) continue;
    const a = -(next.z - one.z) / length;
    const b = (next.x - one.x) / length;
    edges[count] = a;
    edges[count + 1] = b;
    edges[count + 2] = -(a * one.x + b * one.z);
    count += 3;
  }
  const first = max(0, ceil((low - zOff) / cellMm));
  const last = min(rows - 1, floor((high - zOff) / cellMm));
  for (let row = first; row <= last; row += 1) {
    const z = zOff + row * cellMm;
    let left = -Infinity;
    let right = Infinity;
    for (let edge = 0; edge < count; edge += 3) {
      const a = edges[edge] as number;
      const rest = (edges[edge + 1] as number) * z + (edges[edge + 2] as number);
      if (a > 1e-9) left = max(left, -rest / a);
      else if (a < -1e-9) right = min(right, -rest / a);
      else if (rest < 0) right = -Infinity;
    }
    const from = max(0, ceil((left - xOff) / cellMm));
    const to = min(columns - 1, floor((right - xOff) / cellMm));
    for (let column = from; column <= to; column += 1) {
      const cell = row * columns + column;
      const there = -(field[cell] as number);
      const x = xOff + column * cellMm;
      let depth = Infinity;
      for (let edge = 0; edge < count && depth > there; edge += 3) {
        const inside = (edges[edge] as number) * x + (edges[edge + 1] as number) * z + (edges[edge + 2] as number);
        if (inside < depth) depth = inside;
      }
      if (depth > there) field[cell] = -depth;
    }
  }
}
