/** Wearing out, not bad luck: few fail early, most about when they are expected to (Weibull, shape 3). */
const SHAPE = 3;
/** Γ(1 + 1/3): the mean of such a life over its scale. */
const MEAN_OVER_SCALE = 0.892_979_5;
/** Nothing is certain to fail. */
const MOST = 0.995;

/**
 * The chance that something that is given `yearsLeft` more on average fails within `years`: 1 − exp(−(Γ(1 + 1/k) t / L)^k)
 * with k = 3 (Weibull). Half for a time a little shorter than the years it is given.
 */
export function chanceWithin(years: number, yearsLeft: number): number {
  if (years <= 0) return 0;
  if (yearsLeft <= 0) return MOST;
  return Math.min(MOST, 1 - Math.exp(-(((MEAN_OVER_SCALE * years) / yearsLeft) ** SHAPE)));
}

/** What is left of it where nobody has looked: half of what it lasts as a rule. */
export function usualYearsLeft(lastsYears: number): number {
  return lastsYears / 2;
}
