import { FluidError } from './fluid-error.js';

/** Oil before the engine has run, and what it takes once filter, cooler and lines have filled. */
export interface StartFill {
  readonly startL: number;
  readonly afterL: number;
  readonly of: readonly { readonly what: string; readonly litres: number }[];
}

/**
 * How much goes in to start with: what the circuit holds, less what is still inside and less what filter, cooler and lines
 * take once it has gone round; that is topped up afterwards. All in litres.
 */
export function startFill(
  capacityL: number,
  insideL: number,
  drinks: readonly { readonly what: string; readonly litres: number }[],
): StartFill {
  const afterL = drinks.reduce((sum, { litres }) => sum + litres, 0);
  return { startL: Math.max(0, capacityL - insideL - afterL), afterL, of: drinks };
}

/**
 * What brings a level at `share` of the way from the lower to the upper mark of the stick up to the upper one, in litres;
 * negative where it stands above. `marksL`: what lies between the marks. Throws {@link FluidError} for a level off the stick.
 */
export function toUpperMarkL(marksL: number, share: number): number {
  if (!(marksL > 0)) throw new FluidError('How much lies between the marks has to be known first.');
  if (!(share >= -1 && share <= 2))
    throw new FluidError('Below the stick, or far over it: add or let out a little and look again.');
  return (1 - share) * marksL;
}
