import type { StartResult } from '../first-start/index.js';
import type { ChannelId } from './channels.js';
import { mean, median, scatterOf } from './figures.js';
import type { BoxReading } from './reading.js';
import { compressionsOf, type Compressions } from './ripple.js';
import { doesNow } from './watch.js';

/** What a burst came to. */
export interface BurstTrace {
  readonly voltsBefore: number;
  readonly voltsLowest: number;
  /** Where the battery came to again once it was let go; absent where nothing was read after. */
  readonly voltsAfter?: number;
  readonly crankSeconds: number;
  readonly crankRpm: number;
  readonly result: StartResult;
  /** Seconds from the first turn until oil pressure showed; absent where it never did, or nobody measured it. */
  readonly pressureAfterS?: number;
  /** It turned by its current, and no revolutions were read. */
  readonly noSignal?: true;
  readonly compressions?: Compressions;
  /** Oil, fuel and manifold while it ran, or, where it did not, while it was cranked: the middle of what was read. */
  readonly oilBar?: number;
  readonly fuelBar?: number;
  readonly manifoldBar?: number;
  readonly hottestC?: number;
  /** The cylinder, from 1 in firing order, that adds clearly less than the others while it runs. */
  readonly addsLeast?: number;
  readonly codes?: readonly string[];
  /** The readings from just before it until it stood again. */
  readonly readings: readonly BoxReading[];
}

const PRESSURE_FROM_BAR = 0.3;
/** It fired where it turned by itself for so long, and ran where for longer. */
const FIRED_S = 0.5;
const RAN_S = 4;
/** A starter that does not turn the engine: a current and next to no revolutions. */
const TURNS_FROM_RPM = 30;
/** Revolutions of an engine that runs scatter by this share of them where it runs rough. */
const ROUGH_SHARE = 0.05;
/** A cylinder that adds so many points less than the middle of all makes no difference. */
const ADDS_LESS_PCT = 8;
/** How long before a burst, and after it, belongs to it. */
const BEFORE_MS = 1_000;
const AFTER_MS = 5_000;

/**
 * What the last burst in `readings` came to, with what follows it; undefined where none was cranked. Seconds, volts at rest just
 * before and at their lowest, revolutions in the middle of it.
 */
export function burstOf(readings: readonly BoxReading[]): BurstTrace | undefined {
  const last = readings.findLastIndex((_, at) => begins(readings, at));
  return last < 0 ? undefined : burstFrom(readings, last, readings.length);
}

/** Every burst in `readings`, first to last, each with what follows it until the next. */
export function burstsOf(readings: readonly BoxReading[]): readonly BurstTrace[] {
  const begin = readings.flatMap((_, at) => (begins(readings, at) ? [at] : []));
  return begin.map((from, at) => burstFrom(readings, from, begin[at + 1] ?? readings.length));
}

/** Whether a burst begins with the reading at that place. */
function begins(readings: readonly BoxReading[], at: number): boolean {
  const [before, now] = [readings[at - 1], readings[at]];
  return now !== undefined && doesNow(now) === 'cranks' && (!before || doesNow(before) !== 'cranks');
}

function burstFrom(readings: readonly BoxReading[], from: number, until: number): BurstTrace {
  const rest = readings.slice(from, until);
  const letGo = rest.findIndex((reading) => doesNow(reading) !== 'cranks');
  const burst = letGo < 0 ? rest : rest.slice(0, letGo);
  const after = letGo < 0 ? [] : rest.slice(letGo);
  const beganMs = burst[0]?.atMs ?? 0;
  const endedMs = burst.at(-1)?.atMs ?? beganMs;
  const compressions = compressionsOf(burst);
  const turning = burst.map(({ rpm }) => rpm).filter((rpm) => rpm >= TURNS_FROM_RPM);
  const noSignal = turning.length === 0 && compressions !== undefined;
  const running = after.filter((reading) => doesNow(reading) === 'runs');
  const ranS = ((running.at(-1)?.atMs ?? 0) - (running[0]?.atMs ?? 0)) / 1_000;
  const settled = running.length > 0 ? running.slice(Math.floor(running.length / 2)) : burst;
  const pressure = rest.find(({ oilBar = 0 }) => oilBar >= PRESSURE_FROM_BAR);
  const rested = after.filter(
    (reading) => doesNow(reading) === 'stands' && reading.atMs - endedMs <= AFTER_MS && running.length === 0,
  );
  const stoodMs = after.findLast((reading) => doesNow(reading) !== 'stands')?.atMs ?? endedMs;
  const hottest = Math.max(...rest.flatMap(({ coolantC }) => (coolantC === undefined ? [] : [coolantC])));
  const least = running.length > 0 ? addsLeast(settled) : undefined;
  const codes = [...new Set(rest.flatMap((reading) => reading.codes ?? []))];
  return {
    voltsBefore: readings[from - 1]?.volts ?? burst[0]?.volts ?? 0,
    voltsLowest: Math.min(...burst.map(({ volts }) => volts)),
    ...optional('voltsAfter', rested.at(-1)?.volts),
    crankSeconds: Math.max(1, Math.round((endedMs - beganMs) / 1_000)),
    crankRpm: noSignal ? (compressions?.rpm ?? 0) : Math.round(median(turning)),
    result: resultOf(ranS, running, turning.length > 0 || noSignal),
    ...optional('pressureAfterS', pressure && Math.round(Math.max(0, pressure.atMs - beganMs) / 100) / 10),
    ...(noSignal ? { noSignal } : {}),
    ...(compressions ? { compressions } : {}),
    ...optional('oilBar', middleOf(settled, 'oilBar')),
    ...optional('fuelBar', middleOf(settled, 'fuelBar')),
    ...optional('manifoldBar', middleOf(settled, 'manifoldBar')),
    ...(Number.isFinite(hottest) ? { hottestC: Math.round(hottest) } : {}),
    ...optional('addsLeast', least),
    ...(codes.length > 0 ? { codes } : {}),
    readings: readings.slice(0, until).filter(({ atMs }) => atMs >= beganMs - BEFORE_MS && atMs <= stoodMs + AFTER_MS),
  };
}

function resultOf(ranS: number, running: readonly BoxReading[], turns: boolean): StartResult {
  if (ranS >= RAN_S) return isRough(running) ? 'runs-rough' : 'runs';
  if (ranS >= FIRED_S) return 'fires-and-dies';
  return turns ? 'cranks' : 'no-crank';
}

function isRough(running: readonly BoxReading[]): boolean {
  const rpm = running.slice(Math.floor(running.length / 2)).map((reading) => reading.rpm);
  return scatterOf(rpm) > ROUGH_SHARE * mean(rpm);
}

function middleOf(readings: readonly BoxReading[], channel: ChannelId): number | undefined {
  const read = readings.flatMap((reading) => reading[channel] ?? []);
  return read.length > 0 ? median(read) : undefined;
}

/** The cylinder that adds clearly less than the middle of all; each by the middle of what was read of it. */
function addsLeast(running: readonly BoxReading[]): number | undefined {
  const read = running.flatMap(({ addsPct }) => (addsPct ? [addsPct] : []));
  const cylinders = read[0]?.length ?? 0;
  if (cylinders < 3 || read.some(({ length }) => length !== cylinders)) return undefined;
  const each = Array.from({ length: cylinders }, (_, at) => median(read.map((shares) => shares[at] ?? 0)));
  const least = Math.min(...each);
  return median(each) - least >= ADDS_LESS_PCT ? each.indexOf(least) + 1 : undefined;
}

function optional<Key extends string, Value>(
  key: Key,
  value: Value | undefined,
): Readonly<Partial<Record<Key, Value>>> {
  return (value === undefined ? {} : { [key]: value }) as Readonly<Partial<Record<Key, Value>>>;
}
