/** Something that makes a wrench longer: a crow’s foot, an extension across the handle. */
export interface Adapter {
  readonly id: string;
  readonly name: string;
  /** From the square to the middle of the bolt, in mm. */
  readonly lengthMm: number;
}

/** An adapter as it sits on a wrench. */
export interface FittedAdapter {
  readonly lengthMm: number;
  /** Between it and the line of the handle: 0 straight on, 90 across, 180 back along it. */
  readonly angleDeg: number;
}

/** A torque cannot be set as asked; `message` is for whoever holds the wrench. */
export class TorqueError extends Error {
  override readonly name = 'TorqueError';
}

/** What is left of the lever must be at least this share of the handle, or a small error of hand makes a large one of torque. */
const LEAST_LEVER = 0.25;

/**
 * By how much more a bolt gets than the wrench shows: (L + E cos θ) / L, with the handle’s length to the middle of the grip
 * L and the adapter’s E, both in mm. 1 without an adapter. Throws {@link TorqueError} where the adapter eats the lever.
 */
export function leverRatio(handleMm: number, adapter?: FittedAdapter): number {
  if (!(handleMm > 0))
    throw new TorqueError('How long the handle is, to the middle of the grip, has to be known first.');
  if (!adapter) return 1;
  const { lengthMm, angleDeg } = adapter;
  if (!(lengthMm >= 0) || !Number.isFinite(angleDeg))
    throw new TorqueError('An adapter needs its length and its angle.');
  const ratio = (handleMm + lengthMm * Math.cos((angleDeg * Math.PI) / 180)) / handleMm;
  if (ratio < LEAST_LEVER)
    throw new TorqueError(
      `An adapter of ${lengthMm} mm turned back by ${angleDeg}° leaves nothing of a handle of ${handleMm} mm. Turn it across, or take a longer wrench.`,
    );
  return ratio;
}

/** What is set on the wrench, in N·m, so that the bolt gets `wantedNm`. Throws {@link TorqueError}. */
export function settingFor(wantedNm: number, handleMm: number, adapter?: FittedAdapter): number {
  return wantedNm / leverRatio(handleMm, adapter);
}

/** What the bolt gets, in N·m, when the wrench shows `shownNm`. Throws {@link TorqueError}. */
export function givenBy(shownNm: number, handleMm: number, adapter?: FittedAdapter): number {
  return shownNm * leverRatio(handleMm, adapter);
}
