import { sentence } from '../words/index.js';

/** What is measured on a unit: one figure a cylinder, or one against the maker’s limits. */
export const READINGS = ['compression', 'leak-down', 'end-float', 'run-out', 'backlash'] as const;
export type Reading = (typeof READINGS)[number];

export const READING_WORDS: Readonly<
  Record<Reading, { readonly words: string; readonly unit: string; readonly each: boolean }>
> = {
  compression: { words: 'Compression', unit: 'bar', each: true },
  'leak-down': { words: 'Leak-down', unit: '%', each: true },
  'end-float': { words: 'Crank end float', unit: 'mm', each: false },
  'run-out': { words: 'Run-out', unit: 'mm', each: false },
  backlash: { words: 'Backlash', unit: 'mm', each: false },
};

/** How a measurement is judged, in words for the crew. */
export interface Judged {
  readonly grade: 0 | 1 | 2;
  readonly words: string;
}

/** Compression: the weakest within a tenth of the strongest is even; under three quarters it is a fault. */
const EVEN_SHARE = 0.9;
const LEAST_SHARE = 0.75;
/** Leak-down of a sound cylinder, and the most before something is open, in per cent. */
const LEAK_SOUND = 10;
const LEAK_MOST = 20;
/** Between cylinders, in points. */
const LEAK_SPREAD = 8;

/**
 * Judges readings: compression by its spread (bar, weakest against strongest), leak-down by the most and the spread (%),
 * the others against the limits the crew entered from the maker. Without limits nothing is said of those.
 */
export function judgeReadings(
  reading: Reading,
  values: readonly number[],
  limits: { readonly low?: number; readonly high?: number } = {},
): Judged {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const which = (value: number) => `cylinder ${values.indexOf(value) + 1}`;
  if (reading === 'compression') {
    if (limits.low !== undefined && low < limits.low)
      return { grade: 2, words: `${sentence(which(low))} has ${low} bar, under the maker’s ${limits.low}.` };
    const share = high > 0 ? low / high : 0;
    const spread = `${sentence(which(low))} has ${Math.round(share * 100)} % of the strongest`;
    if (share >= EVEN_SHARE) return { grade: 0, words: 'Even: the weakest is within a tenth of the strongest.' };
    return share >= LEAST_SHARE
      ? { grade: 1, words: `${spread}: again with a spoon of oil in it. More then: rings; the same: valves or gasket.` }
      : { grade: 2, words: `${spread}: find out why before it goes in.` };
  }
  if (reading === 'leak-down') {
    if (high > LEAK_MOST)
      return {
        grade: 2,
        words: `${sentence(which(high))} loses ${high} %: listen at intake, exhaust, filler and radiator.`,
      };
    if (high > LEAK_SOUND || high - low > LEAK_SPREAD)
      return { grade: 1, words: `${sentence(which(high))} loses ${high} %, the best ${low} %: worn, and it runs.` };
    return { grade: 0, words: `Sound: none loses more than ${high} %.` };
  }
  if (limits.low === undefined && limits.high === undefined)
    return { grade: 1, words: 'Without the maker’s limits nothing is said of it. Enter them.' };
  const out = values.find(
    (value) => (limits.low !== undefined && value < limits.low) || (limits.high !== undefined && value > limits.high),
  );
  const range = `${limits.low ?? 0} to ${limits.high ?? '…'} mm`;
  return out === undefined
    ? { grade: 0, words: `Within the maker’s ${range}.` }
    : { grade: 2, words: `${out} mm is outside the maker’s ${range}.` };
}
