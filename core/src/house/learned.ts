/** How long a step takes in this shop, as far as it has done it. */
export interface Learned {
  /** Between the map’s figure and the shop’s own, the nearer to the latter the oftener it was done. */
  readonly likelyMin: number;
  /** The middle of the shop’s own times. */
  readonly ownMin: number;
  readonly times: number;
}

/** The map’s figure counts as much as so many of the shop’s own. */
const BOOK_WEIGHT = 3;

/**
 * The minutes of a step from the map’s likely figure and the shop’s own times, minutes each: the median of their
 * pairwise means (Hodges and Lehmann 1963), which one bad day does not move, shrunk towards the map’s figure by count.
 */
export function learnedMinutes(bookMin: number, ownTimesMin: readonly number[]): Learned {
  const times = ownTimesMin.length;
  if (times === 0) return { likelyMin: bookMin, ownMin: bookMin, times };
  const means = ownTimesMin
    .flatMap((one, index) => ownTimesMin.slice(index).map((other) => (one + other) / 2))
    .sort((one, other) => one - other);
  const middle = (means.length - 1) / 2;
  const ownMin = ((means[Math.floor(middle)] ?? 0) + (means[Math.ceil(middle)] ?? 0)) / 2;
  return { likelyMin: (BOOK_WEIGHT * bookMin + times * ownMin) / (BOOK_WEIGHT + times), ownMin, times };
}
