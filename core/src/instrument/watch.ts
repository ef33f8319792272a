import { LONGEST_BURST_S, LOWEST_CRANKING_V } from '../first-start/index.js';
import type { BoxReading } from './reading.js';

/** What the engine does, by the box. */
export type Does = 'stands' | 'cranks' | 'runs';

/** A starter that turns draws more than this; an engine that runs by itself turns faster than that. */
const CRANKS_FROM_A = 40;
const RUNS_FROM_RPM = 450;
/** Oil pressure has to show after so long on the starter, or so long running; and so much of it has to stay. */
export const OIL_CRANKING_S = 9;
export const OIL_RUNNING_S = 5;
export const LEAST_OIL_BAR = 0.5;
/** Pressure that was there and falls to this share of its most while it runs at about the same speed. */
const FALLS_TO = 0.5;
const FALLS_FROM_BAR = 1;
const SAME_SPEED = 0.75;
export const HOTTEST_C = 108;
/** A battery of two blocks rests above this. */
const ONE_BLOCK_V = 16;

/** What the engine does at `reading`. */
export function doesNow({ amps, rpm }: BoxReading): Does {
  if (amps >= CRANKS_FROM_A) return 'cranks';
  return rpm >= RUNS_FROM_RPM ? 'runs' : 'stands';
}

/** The volts a burst stops at, by what the battery rests at: one block of twelve volts, or two. */
export function lowestCrankingV(restV: number): number {
  return LOWEST_CRANKING_V * (restV > ONE_BLOCK_V ? 2 : 1);
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
  const now = sinceIt(readings, does);
  const forS = (last.atMs - (now[0]?.atMs ?? last.atMs)) / 1_000;
  const lowest = lowestCrankingV(readings[0]?.volts ?? 0);
  const words: string[] = [];
  if (does === 'runs' && forS >= OIL_RUNNING_S && last.oilBar !== undefined && last.oilBar < LEAST_OIL_BAR)
    words.push(`Stop: no oil pressure after ${Math.floor(forS)} s`);
  else if (does === 'runs' && oilFalls(now))
    words.push(`Stop: oil pressure falls, ${(last.oilBar ?? 0).toFixed(1)} bar`);
  if (does === 'cranks' && forS >= OIL_CRANKING_S && last.oilBar !== undefined && last.oilBar < LEAST_OIL_BAR)
    words.push(`Stop: no oil pressure after ${Math.floor(forS)} s of cranking`);
  if (does === 'runs' && last.coolantC !== undefined && last.coolantC > HOTTEST_C)
    words.push(`Stop: ${Math.round(last.coolantC)} °C`);
  if (does === 'cranks' && last.volts < lowest) words.push(`Stop: ${last.volts.toFixed(1)} V, under ${lowest}`);
  if (does === 'cranks' && forS >= LONGEST_BURST_S) words.push(`Stop: ${Math.floor(forS)} s on the starter`);
  return words;
}

/** Pressure that was good at this speed, and is half of it now. */
function oilFalls(running: readonly BoxReading[]): boolean {
  const last = running.at(-1);
  if (!last || last.oilBar === undefined) return false;
  const most = Math.max(
    ...running.flatMap(({ oilBar, rpm }) => (oilBar !== undefined && rpm * SAME_SPEED <= last.rpm ? [oilBar] : [])),
  );
  return most >= FALLS_FROM_BAR && last.oilBar < FALLS_TO * most;
}

/** Its readings since it does what it does. */
function sinceIt(readings: readonly BoxReading[], does: Does): readonly BoxReading[] {
  return readings.slice(readings.findLastIndex((reading) => doesNow(reading) !== does) + 1);
}
