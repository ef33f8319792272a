import type { Point } from '../shape/index.js';

/** The nearest point of each of two convex outlines that do not touch to the other: from a corner to an edge. */
export function closestPoints(one: readonly Point[], other: readonly Point[]): readonly [Point, Point] {
  let best: readonly [Point, Point] = [one[0] as Point, other[0] as Point];
  let leastMm = Infinity;
  const look = (corners: readonly Point[], outline: readonly Point[], turned: boolean) => {
    for (const corner of corners)
      outline.forEach((from, index) => {
        const to = outline[(index + 1) % outline.length] ?? from;
        const [ex, ez] = [to.x - from.x, to.z - from.z];
        const along = ((corner.x - from.x) * ex + (corner.z - from.z) * ez) / (ex * ex + ez * ez || 1);
        const share = Math.min(1, Math.max(0, along));
        const point = { x: from.x + share * ex, z: from.z + share * ez };
        const mm = Math.hypot(point.x - corner.x, point.z - corner.z);
        if (mm >= leastMm) return;
        leastMm = mm;
        best = turned ? [point, corner] : [corner, point];
      });
  };
  look(one, other, false);
  look(other, one, true);
  return best;
}
