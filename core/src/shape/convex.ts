import { flat, gapOf } from './flat.js';
import type { Interval, Point, Solid } from './solid.js';

const { hypot, max, min } = Math;

/**
 * Where the origin of `other` may not be if it is not to touch `one`: the Minkowski sum of `one` and `other` turned by
 * half a turn. Both outlines anticlockwise; their edges merged by angle, O(n + m).
 */
export function minkowskiDifference(one: readonly Point[], other: readonly Point[]): readonly Point[] {
  const a = fromLowest(one);
  const b = fromLowest(other.map(({ x, z }): Point => ({ x: -x, z: -z })));
  const sum: Point[] = [];
  let i = 0;
  let j = 0;
  while (i < a.length || j < b.length) {
    const [p, q] = [cyclic(a, i), cyclic(b, j)];
    sum.push({ x: p.x + q.x, z: p.z + q.z });
    const [p1, q1] = [cyclic(a, i + 1), cyclic(b, j + 1)];
    const cross = (p1.x - p.x) * (q1.z - q.z) - (p1.z - p.z) * (q1.x - q.x);
    const mine = j >= b.length || (i < a.length && cross >= 0);
    const theirs = i >= a.length || (j < b.length && cross <= 0);
    if (mine) i += 1;
    if (theirs) j += 1;
  }
  return sum;
}

function cyclic(points: readonly Point[], index: number): Point {
  return points[index % points.length] as Point;
}

function fromLowest(points: readonly Point[]): readonly Point[] {
  let lowest = 0;
  points.forEach(({ x, z }, index) => {
    const best = points[lowest] as Point;
    if (z < best.z || (z === best.z && x < best.x)) lowest = index;
  });
  return [...points.slice(lowest), ...points.slice(0, lowest)];
}

/** The gap between two convex outlines in mm; below zero how far one has to be moved for them to touch no more. */
export function gapBetween(one: readonly Point[], other: readonly Point[]): number {
  return gapOf(flat(one), flat(other), 0, 0);
}

/** How far two intervals overlap, in mm; below zero how far they are apart. */
export function overlapOf(one: Interval, other: Interval): number {
  return min(one[1], other[1]) - max(one[0], other[0]);
}

/** How deep two solids are in each other, in mm: the shortest way that parts them. Below zero the gap between them. */
export function depthOf(one: Solid, other: Solid): number {
  const across = overlapOf(one.across, other.across);
  const gap = gapBetween(one.outline, other.outline);
  if (across > 0 && gap < 0) return min(across, -gap);
  return -hypot(max(0, -across), max(0, gap));
}
