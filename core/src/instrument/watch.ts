import { LONGEST_BURST_S, LOWEST_CRANKING_V } from '../first-start/index.js';
import type { BoxReading } from './reading.js';

/** What the engine does, by the box. */
export type Does = 'stands' | 'cranks' | 'runs';

/** A starter that turns draws more than this; an engine that runs by itself turns faster than that. */
const CRANKS_FROM_A = 40;
const RUNS_FROM_RPM = 450;
/** Oil pressure has to show after so long running, and so much of it has to stay. */
const OIL_WITHIN_S = 5;
const LEAST_OIL_BAR = 0.5;
const HOTTEST_C = 108;
/** A battery of two blocks rests above this. */
const ONE_BLOCK_V = 16;

/** What the engine does at `reading`. */
export function doesNow({ amps, rpm }: BoxReading): Does {
  if (amps >= CRANKS_FROM_A) return 'cranks';
  return rpm >= RUNS_FROM_RPM ? 'runs' : 'stands';
}

/**
 * Why it is stopped now, loud and in order of harm; empty while nothing says so. `readings`: of this burst and what follows, first
 * to last. Limits are the usual ones; a maker’s wins.
 */
export function stopWords(readings: readonly BoxReading[]): readonly string[] {
  const last = readings.at(-1);
  if (!last) return [];
  const does = doesNow(last);
  if (does === 'stands') return [];
  const since = sinceS(readings, does);
  const blocks = (readings[0]?.volts ?? 0) > ONE_BLOCK_V ? 2 : 1;
  const words: string[] = [];
  if (does === 'runs' && since >= OIL_WITHIN_S && last.oilBar < LEAST_OIL_BAR)
    words.push(`Stop: no oil pressure after ${Math.floor(since)} s`);
  if (does === 'runs' && last.coolantC > HOTTEST_C) words.push(`Stop: ${Math.round(last.coolantC)} °C`);
  if (does === 'cranks' && last.volts < LOWEST_CRANKING_V * blocks)
    words.push(`Stop: ${last.volts.toFixed(1)} V, under ${LOWEST_CRANKING_V * blocks}`);
  if (does === 'cranks' && since >= LONGEST_BURST_S) words.push(`Stop: ${Math.floor(since)} s on the starter`);
  return words;
}

/** How long it has done what it does, in s. */
function sinceS(readings: readonly BoxReading[], does: Does): number {
  const last = readings.at(-1);
  const before = readings.findLastIndex((reading) => doesNow(reading) !== does);
  const first = readings[before + 1];
  return last && first ? (last.atMs - first.atMs) / 1_000 : 0;
}
