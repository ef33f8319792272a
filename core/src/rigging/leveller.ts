import type { Leveller, LiftingGear } from './gear.js';
import { DYNAMIC } from './hoist.js';
import { RiggingError } from './slings.js';

/**
 * How far the hook travels along the bar from one tilt to another, in mm: `h·tan(tilt)`, with `aboveCentreMm` from the
 * centre of gravity up to the bar. Throws {@link RiggingError} where the bar is not above it, or for a tilt nobody hangs.
 */
export function hookTravelMm(aboveCentreMm: number, fromDeg: number, toDeg: number): number {
  if (!(aboveCentreMm > 0)) throw new RiggingError('The leveller has to hang above the centre of gravity.');
  if (Math.max(Math.abs(fromDeg), Math.abs(toDeg)) >= 80) throw new RiggingError('Nothing is tilted as far as that.');
  const at = (deg: number) => aboveCentreMm * Math.tan((deg * Math.PI) / 180);
  return at(toDeg) - at(fromDeg);
}

/** Turns of the crank for a travel; above zero tail down. */
export function turnsFor({ leadMm }: Pick<Leveller, 'leadMm'>, travelMm: number): number {
  if (!(leadMm > 0)) throw new RiggingError('A leveller has to move its hook with each turn.');
  return travelMm / leadMm;
}

/** How far a leveller can tilt what hangs `aboveCentreMm` under it, in degrees to either side. */
export function mostTiltDeg({ travelMm }: Pick<Leveller, 'travelMm'>, aboveCentreMm: number): number {
  return (Math.atan2(travelMm, aboveCentreMm) * 180) / Math.PI;
}

/** The smallest leveller that is rated for a weight with a quarter more for the jerk, or the largest there is. */
export function levellerFor({ levellers }: LiftingGear, massKg: number): Leveller {
  const byRating = [...levellers].sort((one, other) => one.ratedKg - other.ratedKg);
  const found = byRating.find(({ ratedKg }) => ratedKg >= massKg * DYNAMIC) ?? byRating.at(-1);
  if (!found) throw new RiggingError('A shop without a leveller has nothing to reckon.');
  return found;
}
