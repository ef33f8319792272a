import type { StartResult } from '../first-start/index.js';
import type { BoxReading } from './reading.js';
import { doesNow } from './watch.js';

/** What a burst came to. */
export interface BurstTrace {
  readonly voltsBefore: number;
  readonly voltsLowest: number;
  readonly crankSeconds: number;
  readonly crankRpm: number;
  readonly result: StartResult;
  /** Seconds from the first turn until oil pressure showed; absent where it never did. */
  readonly pressureAfterS?: number;
  /** The cylinder, from 1 in firing order, whose compression shows least in the starter’s current; absent where they are alike. */
  readonly weak?: number;
}

const PRESSURE_FROM_BAR = 0.3;
/** It fired where it turned by itself for so long, and ran where for longer. */
const FIRED_S = 0.5;
const RAN_S = 4;
/** A starter that does not turn the engine: a current and next to no revolutions. */
const TURNS_FROM_RPM = 30;
/** Revolutions of an engine that runs scatter by this share of them where it runs rough. */
const ROUGH_SHARE = 0.06;

/**
 * What the last burst in `readings` came to, with what follows it; undefined where none was cranked. Seconds, volts at rest just
 * before and at their lowest, revolutions in the middle of it.
 */
export function burstOf(readings: readonly BoxReading[]): BurstTrace | undefined {
  const last = readings.findLastIndex((reading) => doesNow(reading) === 'cranks');
  if (last < 0) return undefined;
  const before = readings.findLastIndex((reading, at) => at < last && doesNow(reading) !== 'cranks');
  const burst = readings.slice(before + 1, last + 1);
  const after = readings.slice(last + 1);
  const began = burst[0];
  const ended = burst.at(-1);
  if (!began || !ended) return undefined;
  const turning = burst.map(({ rpm }) => rpm).filter((rpm) => rpm >= TURNS_FROM_RPM);
  const running = after.filter((reading) => doesNow(reading) === 'runs');
  const ranS = running.length === 0 ? 0 : ((running.at(-1)?.atMs ?? 0) - (running[0]?.atMs ?? 0)) / 1_000;
  const pressure = [...burst, ...after].find(({ oilBar }) => oilBar >= PRESSURE_FROM_BAR);
  const weak = weakCylinder(ended.peaksA ?? []);
  return {
    voltsBefore: readings[before]?.volts ?? began.volts,
    voltsLowest: Math.min(...burst.map(({ volts }) => volts)),
    crankSeconds: Math.max(1, Math.round((ended.atMs - began.atMs) / 1_000)),
    crankRpm: Math.round(middleOf(turning)),
    result:
      ranS >= RAN_S
        ? isRough(running)
          ? 'runs-rough'
          : 'runs'
        : ranS >= FIRED_S
          ? 'fires-and-dies'
          : turning.length > 0
            ? 'cranks'
            : 'no-crank',
    ...(pressure ? { pressureAfterS: Math.max(0, (pressure.atMs - began.atMs) / 1_000) } : {}),
    ...(weak === undefined ? {} : { weak }),
  };
}

/** A cylinder has to lie so far below the middle of all, as a share of it, to be called weak. */
const WEAK_SHARE = 0.08;

/**
 * Which cylinder is weak by the starter’s current at each compression, from 1; undefined where none lies clearly under the middle
 * of the others, or fewer than three were read.
 */
export function weakCylinder(peaksA: readonly number[]): number | undefined {
  if (peaksA.length < 3) return undefined;
  const least = Math.min(...peaksA);
  const at = peaksA.indexOf(least);
  const middle = middleOf(peaksA.filter((_, other) => other !== at));
  return middle > 0 && least < middle * (1 - WEAK_SHARE) ? at + 1 : undefined;
}

function isRough(running: readonly BoxReading[]): boolean {
  const rpm = running.slice(Math.floor(running.length / 2)).map((reading) => reading.rpm);
  const mean = rpm.reduce((sum, one) => sum + one, 0) / Math.max(1, rpm.length);
  const scatter = Math.sqrt(rpm.reduce((sum, one) => sum + (one - mean) ** 2, 0) / Math.max(1, rpm.length));
  return scatter > ROUGH_SHARE * mean;
}

function middleOf(figures: readonly number[]): number {
  const sorted = [...figures].sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
