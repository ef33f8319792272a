import type { JobState } from './state.js';

/**
 * How many years each thing that wears is given by the crew, by renewal: as they said, or by the kilometres they gave it
 * where it is known how far the machine goes in a year.
 */
export function yearsGiven({ lives, terms }: Pick<JobState, 'lives' | 'terms'>): ReadonlyMap<string, number> {
  const kmPerYear = terms?.kmPerYear;
  return new Map(
    [...lives].map(([renewal, { yearsLeft, kmLeft }]) => [
      renewal,
      kmLeft === undefined || kmPerYear === undefined ? yearsLeft : kmLeft / kmPerYear,
    ]),
  );
}
