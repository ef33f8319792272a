/** The middle one of `figures`, the upper of two; nought of none. */
export function median(figures: readonly number[]): number {
  const sorted = [...figures].sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** How far `figures` scatter about their mean: the root of their mean squared distance; nought of none. */
export function scatterOf(figures: readonly number[]): number {
  if (figures.length === 0) return 0;
  const mean = figures.reduce((sum, one) => sum + one, 0) / figures.length;
  return Math.sqrt(figures.reduce((sum, one) => sum + (one - mean) ** 2, 0) / figures.length);
}
