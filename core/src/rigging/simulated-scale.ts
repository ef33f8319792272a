import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** How the simulated crane scale behaves: as it should, or with something that snags, or with a fault of its own. */
export const SCALE_MODES = ['even', 'snag', 'stick', 'drift'] as const;
export type ScaleMode = (typeof SCALE_MODES)[number];

/** A reading of a scale. */
export interface ScaleReading {
  /** Since the scale was switched on, in ms. */
  readonly atMs: number;
  readonly kg: number;
}

/** The simulated scale sends so often, in ms. */
export const SCALE_EVERY_MS = 200;
/** The load is taken up in so long; after that whatever goes wrong begins, in ms. */
const TAKEN_UP_MS = 4_000;
const WRONG_FROM_MS = 8_000;
/** A snagged load pulls up to so much more, as a share, within so long. */
const SNAG_SHARE = 0.6;
const SNAG_MS = 6_000;
/** A scale that drifts gains so much a second, as a share. */
const DRIFT_A_SECOND = 0.012;
/** A load that hangs sways by so much, and the scale shows whole kilograms. */
const SWAY_SHARE = 0.008;
const SWAY_MS = 2_300;
const NOISE_SHARE = 0.003;

/**
 * Readings of a made-up scale on which `massKg` is taken up and then hangs, one after the other without end; the same seed
 * gives the same readings.
 */
export function* simulatedScale(massKg: number, mode: ScaleMode, seed: number): Generator<ScaleReading, never> {
  const random = xoroshiro128plus(seed);
  for (let atMs = 0; ; atMs += SCALE_EVERY_MS) {
    const readAt = mode === 'stick' ? Math.min(atMs, WRONG_FROM_MS) : atMs;
    const noise = mode === 'stick' && atMs > WRONG_FROM_MS ? 0 : (uniformFloat64(random) - 0.5) * 2 * NOISE_SHARE;
    const taken = Math.min(1, readAt / TAKEN_UP_MS);
    const sway = taken === 1 ? SWAY_SHARE * Math.sin((readAt / SWAY_MS) * 2 * Math.PI) : 0;
    const since = Math.max(0, readAt - WRONG_FROM_MS);
    const more =
      mode === 'snag'
        ? SNAG_SHARE * Math.min(1, since / SNAG_MS)
        : mode === 'drift'
          ? DRIFT_A_SECOND * (since / 1_000)
          : 0;
    yield { atMs, kg: Math.round(massKg * taken * (1 + sway + noise + more)) };
  }
}
