import { type Gaps, poseBetween, travelMm } from './gaps.js';
import { SEATED, type Pose } from './scene.js';
import { SEAT_MM, WIDE_MM } from './widest-way.js';

/** How near things come on a way, in mm; never more than is true. */
export interface NearestOn {
  /** Round the seat, where things are close by nature. */
  readonly seatMm: number;
  /** Once it has left its seat. */
  readonly wayMm: number;
}

/** How near things come along `poses`, to `toMm`. */
export function nearestOn(gaps: Gaps, poses: readonly Pose[], toMm?: number): NearestOn {
  let [seatMm, wayMm] = [WIDE_MM, WIDE_MM];
  for (const [index, to] of poses.slice(1).entries())
    for (const [a, b, near] of piecesOf(gaps, poses[index] as Pose, to)) {
      if (near) seatMm = gaps.along(a, b, -Infinity, seatMm, toMm);
      else wayMm = gaps.along(a, b, -Infinity, wayMm, toMm);
    }
  return { seatMm, wayMm };
}

/** A stretch of a way, parted where it leaves the seat; whether each piece is near it. */
export function piecesOf({ reachMm }: Gaps, from: Pose, to: Pose): readonly (readonly [Pose, Pose, boolean])[] {
  const near = (share: number) => travelMm(SEATED, poseBetween(from, to, share), reachMm) < SEAT_MM;
  if (near(0) === near(1)) return [[from, to, near(0)]];
  let [low, high] = [0, 1];
  while (high - low > 0.001) {
    const middle = (low + high) / 2;
    if (near(middle) === near(0)) low = middle;
    else high = middle;
  }
  const parted = poseBetween(from, to, high);
  return [
    [from, parted, near(0)],
    [parted, to, near(1)],
  ];
}
