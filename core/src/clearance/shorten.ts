import type { Gaps } from './gaps.js';
import { nearestOn, piecesOf } from './nearest-on.js';
import type { Pose } from './scene.js';

/** So much of the clearance a shorter way may cost, in mm: less than anybody sees. */
const GIVEN_UP_MM = 0.4;

/**
 * `poses` with every one left out that is not needed: from each the farthest that can be reached straight without coming
 * nearer to anything than the way does already; round the seat, than where it sits. Yields after each that is kept.
 */
export function* shortened(gaps: Gaps, poses: readonly Pose[]): Generator<number, readonly Pose[]> {
  const { seatMm, wayMm } = nearestOn(gaps, poses);
  const straight = (from: Pose, to: Pose) =>
    piecesOf(gaps, from, to).every(([a, b, near]) => {
      const enoughMm = (near ? Math.min(seatMm, wayMm) : wayMm) - GIVEN_UP_MM;
      return gaps.along(a, b, enoughMm, enoughMm, GIVEN_UP_MM / 2) >= enoughMm;
    });
  const kept: Pose[] = [];
  const last = poses.length - 1;
  for (let index = 0; index < poses.length;) {
    const from = poses[index] as Pose;
    kept.push(from);
    if (index === last) break;
    let next = index + 1;
    // Doubling, then halving: most of a way is open.
    for (let reach = 2; index + reach < last && straight(from, poses[index + reach] as Pose); reach *= 2)
      next = index + reach;
    if (straight(from, poses[last] as Pose)) next = last;
    for (let step = Math.floor((next - index) / 2); step >= 1; step = Math.floor(step / 2))
      while (next + step <= last && straight(from, poses[next + step] as Pose)) next += step;
    index = next;
    yield 0.98;
  }
  return kept;
}
