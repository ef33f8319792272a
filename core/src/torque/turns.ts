/** A touch of an angle, in degrees: about what one pull of a bar gives. */
const TOUCH_DEG = 30;

/**
 * How far bolts that were turned by `turnedDeg` so far are turned with the next touch of an angle of `angleDeg`, in degrees:
 * none of them past it, or it stretches. Nought where one of them is there.
 */
export function nextTurnDeg(angleDeg: number, turnedDeg: readonly number[]): number {
  return Math.max(0, Math.min(TOUCH_DEG, ...turnedDeg.map((turned) => angleDeg - turned)));
}

/**
 * `bolts` by the degrees each of them has left of an angle of `angleDeg`, where `turnedDeg` is how far each bolt of the joint
 * was turned; those that are there are left out.
 */
export function turnsLeft(
  angleDeg: number,
  turnedDeg: readonly number[],
  bolts: readonly number[],
): ReadonlyMap<number, readonly number[]> {
  const left = new Map<number, number[]>();
  for (const bolt of bolts) {
    const degrees = angleDeg - (turnedDeg[bolt] ?? 0);
    if (degrees > 0) left.set(degrees, [...(left.get(degrees) ?? []), bolt]);
  }
  return left;
}
