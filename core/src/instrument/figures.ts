/** The mean of `figures`; nought of none. */
export function mean(figures: readonly number[]): number {
  return figures.reduce((sum, one) => sum + one, 0) / Math.max(1, figures.length);
}

/** The middle one of `figures`, the upper of two; nought of none. */
export function median(figures: readonly number[]): number {
  const sorted = [...figures].sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** How far `figures` scatter about their mean: the root of their mean squared distance; nought of none. */
export function scatterOf(figures: readonly number[]): number {
  const middle = mean(figures);
  return Math.sqrt(mean(figures.map((one) => (one - middle) ** 2)));
}
