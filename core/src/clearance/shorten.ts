import { type Gaps, poseBetween, travelMm } from './gaps.js';
import { SEATED, type Pose } from './scene.js';
import { SEAT_MM, WIDE_MM } from './widest-way.js';

/** So much of the clearance a shorter way may cost, in mm: less than anybody sees. */
const GIVEN_UP_MM = 0.4;

/**
 * `poses` with every one left out that is not needed: from each the farthest that can be reached straight without coming
 * nearer to anything than the way does already; round the seat, than where it sits. Yields after each that is kept.
 */
export function* shortened(gaps: Gaps, poses: readonly Pose[]): Generator<number, readonly Pose[]> {
  let [seatMm, wayMm] = [WIDE_MM, WIDE_MM];
  for (const [index, to] of poses.slice(1).entries())
    for (const [a, b, near] of piecesOf(gaps, poses[index] as Pose, to)) {
      if (near) seatMm = gaps.along(a, b, -Infinity, seatMm);
      else wayMm = gaps.along(a, b, -Infinity, wayMm);
    }
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

/** A stretch of a way, parted where it leaves the seat; whether each piece is near it. */
function piecesOf({ reachMm }: Gaps, from: Pose, to: Pose): readonly (readonly [Pose, Pose, boolean])[] {
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
