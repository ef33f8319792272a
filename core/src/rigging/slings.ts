/** Standard gravity, in m/s². */
export const GRAVITY = 9.80665;

/** Something that cannot hang like this; `message` is for the crew. */
export class RiggingError extends Error {
  override readonly name = 'RiggingError';
}

/** One leg of a sling: its length, its angle from level, and what pulls in it. */
export interface SlingLeg {
  readonly lengthMm: number;
  readonly angleDeg: number;
  readonly tensionN: number;
}

/** Flatter than this a leg is warned of; flatter than the other nobody lifts. */
export const WARN_UNDER_DEG = 45;
export const REFUSE_UNDER_DEG = 30;

/**
 * Two legs under a hook that is above the centre of gravity: `aMm` and `bMm` level from the hook to each pick point,
 * `heightMm` from the pick points up to the hook. The level pulls are equal, and what the legs carry upwards is the
 * weight (`Ta·a/La = Tb·b/Lb`, `Ta·h/La + Tb·h/Lb = W`). Throws {@link RiggingError} for a mass that is none, and where
 * the hook is not above the pick points or not between them.
 */
export function twoLegs(
  massKg: number,
  { aMm, bMm, heightMm }: { readonly aMm: number; readonly bMm: number; readonly heightMm: number },
): readonly [SlingLeg, SlingLeg] {
  if (!(massKg > 0)) throw new RiggingError('A weight has to be above zero.');
  if (!(heightMm > 0)) throw new RiggingError('The hook has to be above the pick points.');
  if (aMm < 0 || bMm < 0 || aMm + bMm <= 0)
    throw new RiggingError('The hook has to be between the two pick points: move one of them.');
  const weightN = massKg * GRAVITY;
  const leg = (mine: number, other: number): SlingLeg => {
    const lengthMm = Math.hypot(mine, heightMm);
    return {
      lengthMm,
      angleDeg: (Math.atan2(heightMm, mine) * 180) / Math.PI,
      tensionN: (weightN * other * lengthMm) / (heightMm * (mine + other)),
    };
  };
  return [leg(aMm, bMm), leg(bMm, aMm)];
}

/** What is said of a leg by its angle. */
export function judgeLeg({ angleDeg }: Pick<SlingLeg, 'angleDeg'>): 'refused' | 'flat' | 'as drawn' {
  if (angleDeg < REFUSE_UNDER_DEG) return 'refused';
  return angleDeg < WARN_UNDER_DEG ? 'flat' : 'as drawn';
}
