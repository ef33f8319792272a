/** Resting volts of a 12 V flooded battery at 20 °C against its charge, full to flat. AGM rests about 0.15 V higher. */
const CHARGE_BY_REST: readonly (readonly [volts: number, charge: number])[] = [
  [12.65, 1],
  [12.45, 0.75],
  [12.24, 0.5],
  [12.06, 0.25],
  [11.89, 0],
];

/** Nothing is cranked from a battery that rests lower than this. */
export const LOWEST_REST_V = 11.8;
/** Cranking that pulls the battery lower than this stops; below it control units throw false warnings. */
export const LOWEST_CRANKING_V = 9.6;
/** Longest burst on a starter, unless the maker says less. */
export const LONGEST_BURST_S = 10;
/** Shortest rest between bursts. */
export const SHORTEST_REST_S = 30;

/** Charge, 0 to 1, of a flooded 12 V battery resting at `restV` volts; linear between the table's points. */
export function chargeAtRest(restV: number): number {
  const above = CHARGE_BY_REST.findLast(([volts]) => volts >= restV);
  const below = CHARGE_BY_REST.find(([volts]) => volts <= restV);
  if (!above) return 1;
  if (!below) return 0;
  const span = above[0] - below[0];
  return span === 0 ? above[1] : below[1] + ((restV - below[0]) / span) * (above[1] - below[1]);
}

/**
 * Hours to charge a battery of `capacityAh` from `charge` (0 to 1) with `chargerA` amperes: Ah · (1 − charge) · 1.2 / A.
 * Longer in truth above 80 %. 70 Ah at 25 % on 4 A is 15.75 h. Throws RangeError for a charger that gives nothing.
 */
export function chargeHours(capacityAh: number, charge: number, chargerA: number): number {
  if (!(chargerA > 0)) throw new RangeError('The charger has to give more than 0 A.');
  return (capacityAh * (1 - charge) * 1.2) / chargerA;
}
