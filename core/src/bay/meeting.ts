import { closestPoints } from '../clearance/index.js';
import {
  depthOf,
  gapBetween,
  overlapOf,
  type Extent,
  type Interval,
  type Place,
  type Shaped,
  type Solid,
} from '../shape/index.js';

/** Where two things come nearest to each other: a place on each, and how far these are apart. */
export interface Meeting {
  readonly on: Place;
  readonly at: Place;
  readonly apartMm: number;
}

/** Where `one` and `other` meet; of what is in each other, the middle of what they share. */
export function meetingOf(one: Shaped, other: Shaped): Meeting {
  let mine = one.solids[0] as Solid;
  let theirs = other.solids[0] as Solid;
  let deepest = -Infinity;
  for (const a of one.solids)
    for (const b of other.solids) {
      if (overlapOf(a.across, b.across) < deepest) continue;
      const mm = depthOf(a, b);
      if (mm <= deepest) continue;
      deepest = mm;
      [mine, theirs] = [a, b];
    }
  const [y, otherY] = facing(mine.across, theirs.across);
  const [point, otherPoint] =
    gapBetween(mine.outline, theirs.outline) > 0 ? closestPoints(mine.outline, theirs.outline) : shared(mine, theirs);
  const on = { ...point, y };
  const at = { ...otherPoint, y: otherY };
  return { on, at, apartMm: Math.hypot(on.x - at.x, on.y - at.y, on.z - at.z) };
}

/** The middle of what two intervals share, twice; of two apart, the ends that face each other. */
function facing(one: Interval, other: Interval): readonly [number, number] {
  if (overlapOf(one, other) >= 0) {
    const middle = (Math.max(one[0], other[0]) + Math.min(one[1], other[1])) / 2;
    return [middle, middle];
  }
  return one[1] < other[0] ? [one[1], other[0]] : [one[0], other[1]];
}

function shared({ outline: one }: Solid, { outline: other }: Solid) {
  const range = (values: readonly number[]): Interval => [Math.min(...values), Math.max(...values)];
  const [x] = facing(range(one.map((point) => point.x)), range(other.map((point) => point.x)));
  const [z] = facing(range(one.map((point) => point.z)), range(other.map((point) => point.z)));
  return [
    { x, z },
    { x, z },
  ] as const;
}

/** What two boxes are apart along the axis on which they are farthest apart, in mm; what they hold is no nearer. */
export function apartAtLeast(one: Extent, other: Extent): number {
  return Math.max(-overlapOf(one.x, other.x), -overlapOf(one.y, other.y), -overlapOf(one.z, other.z));
}
