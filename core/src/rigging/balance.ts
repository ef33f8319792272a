import { GRAVITY, RiggingError } from './slings.js';

/** A weight and where it is along the machine, in mm from the front axle, positive to the nose. */
export interface Weight {
  readonly massKg: number;
  readonly xMm: number;
}

/** What two supports carry, and how far the weight is inside them. */
export interface Balance {
  readonly frontN: number;
  readonly rearN: number;
  readonly centreMm: number;
  /** To the nearer support, as a share of the base; below zero outside it. */
  readonly marginShare: number;
  readonly is: 'inside' | 'near the edge' | 'outside';
}

/** Nearer to the edge of the base than this, as a share of its length, is warned of. */
export const EDGE_SHARE = 0.1;

/** The centre of gravity of `weights` along the machine, in mm, and their mass. Throws for a mass that is none. */
export function together(weights: readonly Weight[]): Weight {
  const massKg = weights.reduce((sum, weight) => sum + weight.massKg, 0);
  if (!(massKg > 0)) throw new RiggingError('A weight has to be above zero.');
  return { massKg, xMm: weights.reduce((sum, one) => sum + one.massKg * one.xMm, 0) / massKg };
}

/**
 * What supports at `frontMm` and `rearMm` carry of `weight`, by the lever, and how far inside them it is. Throws
 * {@link RiggingError} where the front support is not before the rear one.
 */
export function balanceOf(weight: Weight, frontMm: number, rearMm: number): Balance {
  const base = frontMm - rearMm;
  if (!(base > 0)) throw new RiggingError('The front support has to be before the rear one.');
  if (!(weight.massKg > 0)) throw new RiggingError('A weight has to be above zero.');
  const share = (weight.xMm - rearMm) / base;
  const weightN = weight.massKg * GRAVITY;
  const marginShare = Math.min(share, 1 - share);
  return {
    frontN: weightN * share,
    rearN: weightN * (1 - share),
    centreMm: weight.xMm,
    marginShare,
    is: marginShare < 0 ? 'outside' : marginShare < EDGE_SHARE ? 'near the edge' : 'inside',
  };
}
