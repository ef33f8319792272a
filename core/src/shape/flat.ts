import type { Point } from './solid.js';

// By name: this is asked a million times, and looking a global up takes longer than what it does.
const { max, min, sqrt } = Math;

/** A convex outline as one array, x and z by turns, anticlockwise: gaps are asked for a million times. */
export type Flat = Float64Array;

/** `outline` flat. */
export function flat(outline: readonly Point[]): Flat {
  const made = new Float64Array(outline.length * 2);
  outline.forEach(({ x, z }, index) => {
    made[2 * index] = x;
    made[2 * index + 1] = z;
  });
  return made;
}

/**
 * The gap between `one` and `other` moved by `dx`, `dz`, in mm; below zero how deep they are in each other. Where the gap
 * is sure to be `enoughMm` or more any figure not below that is given. By separating axes: the deepest overlap is square
 * to an edge, and a gap is from a corner to an edge.
 */
export function gapOf(one: Flat, other: Flat, dx: number, dz: number, enoughMm = Infinity): number {
  const mine = separation(one, other, dx, dz);
  if (mine >= enoughMm) return mine;
  const theirs = separation(other, one, -dx, -dz);
  const apart = max(mine, theirs);
  if (apart <= 0 || apart >= enoughMm) return apart;
  return sqrt(min(cornerToEdge(one, other, dx, dz), cornerToEdge(other, one, -dx, -dz)));
}

/** The farthest that `other`, moved, lies wholly outside any one edge of `one`. */
function separation(one: Flat, other: Flat, dx: number, dz: number): number {
  let most = -Infinity;
  for (let edge = 0; edge < one.length; edge += 2) {
    const x = one[edge] as number;
    const z = one[edge + 1] as number;
    const next = edge + 2 < one.length ? edge + 2 : 0;
    const ex = (one[next] as number) - x;
    const ez = (one[next + 1] as number) - z;
    let nearest = Infinity;
    for (let corner = 0; corner < other.length; corner += 2) {
      const out = ((other[corner] as number) + dx - x) * ez - ((other[corner + 1] as number) + dz - z) * ex;
      if (out < nearest) nearest = out;
    }
    const apart = nearest / sqrt(ex * ex + ez * ez);
    if (apart > most) most = apart;
  }
  return most;
}

/** The smallest squared distance from a corner of `other`, moved, to an edge of `one`. */
function cornerToEdge(one: Flat, other: Flat, dx: number, dz: number): number {
  let least = Infinity;
  for (let edge = 0; edge < one.length; edge += 2) {
    const x = one[edge] as number;
    const z = one[edge + 1] as number;
    const next = edge + 2 < one.length ? edge + 2 : 0;
    const ex = (one[next] as number) - x;
    const ez = (one[next + 1] as number) - z;
    const squared = ex * ex + ez * ez;
    for (let corner = 0; corner < other.length; corner += 2) {
      const px = (other[corner] as number) + dx - x;
      const pz = (other[corner + 1] as number) + dz - z;
      const share = min(1, max(0, (px * ex + pz * ez) / squared));
      const ax = px - share * ex;
      const az = pz - share * ez;
      const distance = ax * ax + az * az;
      if (distance < least) least = distance;
    }
  }
  return least;
}
