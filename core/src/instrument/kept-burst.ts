import type { BoxReading } from './reading.js';
import type { BurstTrace } from './trace.js';

/** Where the figures of a burst came from. */
export const BURSTS_FROM = ['simulated', 'box', 'file'] as const;
export type BurstFrom = (typeof BURSTS_FROM)[number];

/** A trace as the record keeps it: evenly spaced from one second before the first turn. */
export interface KeptTrace {
  readonly everyMs: number;
  readonly volts: readonly number[];
  readonly amps: readonly number[];
  readonly rpm: readonly number[];
}

/** What a bench box read of a burst, as the record keeps it. */
export interface KeptBurst {
  readonly from: BurstFrom;
  readonly crankRpm: number;
  readonly voltsAfter?: number;
  readonly pressureAfterS?: number;
  readonly noSignal?: true;
  readonly cylinders?: number;
  /** The cylinder with the least compression by the current, from 1 in firing order; nought: one of them, nobody knows which. */
  readonly weak?: number;
  readonly oilBar?: number;
  readonly fuelBar?: number;
  readonly manifoldBar?: number;
  readonly hottestC?: number;
  readonly addsLeast?: number;
  readonly codes?: readonly string[];
  readonly trace?: KeptTrace;
}

/** So many points of a trace are kept at most. */
export const TRACE_POINTS = 300;

/** What the record keeps of a burst that came `from` there. */
export function keptBurst(burst: BurstTrace, from: BurstFrom): KeptBurst {
  const { voltsBefore: _before, voltsLowest: _lowest, crankSeconds: _s, result: _result, ...read } = burst;
  const { compressions, readings, ...figures } = read;
  const weak = compressions?.weak === undefined ? undefined : compressions.marked ? compressions.weak : 0;
  const trace = keptTraceOf(readings);
  return {
    from,
    ...figures,
    ...(compressions ? { cylinders: compressions.cylinders } : {}),
    ...(weak === undefined ? {} : { weak }),
    ...(trace ? { trace } : {}),
  };
}

/** `readings` thinned to what a record keeps, the lowest volts of each stretch standing for it; undefined of fewer than two. */
export function keptTraceOf(readings: readonly BoxReading[]): KeptTrace | undefined {
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last || last.atMs <= first.atMs) return undefined;
  const everyMs = Math.max(100, Math.ceil((last.atMs - first.atMs) / (TRACE_POINTS - 1) / 100) * 100);
  const stretches: BoxReading[] = [];
  let at = 0;
  for (let fromMs = first.atMs; fromMs <= last.atMs; fromMs += everyMs) {
    let chosen = stretches.at(-1) ?? first;
    let found = false;
    for (let one = readings[at]; one && one.atMs < fromMs + everyMs; one = readings[at]) {
      chosen = found && chosen.volts <= one.volts ? chosen : one;
      found = true;
      at += 1;
    }
    stretches.push(chosen);
  }
  return {
    everyMs,
    volts: stretches.map(({ volts }) => Math.round(volts * 10) / 10),
    amps: stretches.map(({ amps }) => Math.round(amps)),
    rpm: stretches.map(({ rpm }) => Math.round(rpm)),
  };
}
