import type { Drive, FastenerForm } from './spec.js';

/** What somebody could measure on a loose fastener; anything may be missing. */
export interface MeasuredBolt {
  readonly form?: FastenerForm;
  /** Over the crests, by calliper; worn threads read low. */
  readonly diameterMm?: number;
  /** By thread gauge: from crest to crest. */
  readonly pitchMm?: number;
  /** Under the head. */
  readonly lengthMm?: number;
  readonly drive?: Drive;
  /** Across the flats; for a star its number. */
  readonly driveSize?: number;
  readonly flanged?: boolean;
}

/** Whether anything was measured that tells fasteners apart. */
export function hasMeasured(bolt: MeasuredBolt): boolean {
  return Object.values(bolt).some((value) => value !== undefined);
}
