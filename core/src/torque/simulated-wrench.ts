import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** How the simulated torque wrench is pulled: to its click, let go too soon, or pulled past it. */
export const PULLS = ['even', 'short', 'past'] as const;
export type Pull = (typeof PULLS)[number];

/** A reading of a torque wrench; `click` says that the pull is over and this is what it came to. */
export interface WrenchReading {
  /** Since the wrench was taken up, in ms. */
  readonly atMs: number;
  readonly nm: number;
  readonly click?: true;
}

/** The simulated wrench sends so often, in ms. */
export const WRENCH_EVERY_MS = 50;
/** A pull lasts so long, and so long until the next one, in ms. */
const PULL_MS = 900;
const REST_MS = 1_100;
/** How far a pull ends from what is set, as shares: at its best, and what goes wrong on top. */
const SCATTER = 0.012;
const SHORT_BY = [0.06, 0.12] as const;
const PAST_BY = [0.06, 0.14] as const;

/**
 * Readings of a made-up torque wrench that is set to `setNm`, pull after pull without end; the same seed gives the same
 * readings. Each pull ends with a click that says what it came to.
 */
export function* simulatedWrench(setNm: number, pull: Pull, seed: number): Generator<WrenchReading, never> {
  const random = xoroshiro128plus(seed);
  const between = ([low, high]: readonly [number, number]) => low + (high - low) * uniformFloat64(random);
  for (let begins = 0; ; begins += PULL_MS + REST_MS) {
    const off = pull === 'short' ? -between(SHORT_BY) : pull === 'past' ? between(PAST_BY) : 0;
    const endNm = setNm * (1 + off + (uniformFloat64(random) - 0.5) * 2 * SCATTER);
    for (let at = WRENCH_EVERY_MS; at < PULL_MS; at += WRENCH_EVERY_MS)
      yield { atMs: begins + at, nm: tenths(endNm * Math.sin(((at / PULL_MS) * Math.PI) / 2)) };
    yield { atMs: begins + PULL_MS, nm: tenths(endNm), click: true };
    for (let at = WRENCH_EVERY_MS; at <= REST_MS; at += WRENCH_EVERY_MS) yield { atMs: begins + PULL_MS + at, nm: 0 };
  }
}

function tenths(nm: number): number {
  return Math.round(nm * 10) / 10;
}
