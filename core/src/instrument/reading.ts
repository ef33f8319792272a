import { CHANNELS } from './channels.js';

/** One reading of a bench box. Volts, amperes and revolutions are in each; the rest where a sensor is on. */
export interface BoxReading {
  /** By the clock of the box, in ms. */
  readonly atMs: number;
  readonly volts: number;
  /** What the starter draws. */
  readonly amps: number;
  readonly rpm: number;
  readonly oilBar?: number;
  readonly coolantC?: number;
  readonly fuelBar?: number;
  /** Against the air outside: under nought vacuum, over it boost. */
  readonly manifoldBar?: number;
  /** The starter’s current since the reading before, evenly spaced, in A: fast enough to show each compression. */
  readonly rippleA?: readonly number[];
  /** How long ago cylinder one was at the top of its compression, in ms, where that was since the reading before. */
  readonly firstAgoMs?: number;
  /** What each cylinder adds to the running engine against the mean of all, in %; in firing order. */
  readonly addsPct?: readonly number[];
  /** Fault codes that stand now. */
  readonly codes?: readonly string[];
}

const LONGEST_MS = 86_400_000;
const MOST_CYLINDERS = 16;
const MOST_RIPPLE = 200;
const MOST_A = 3_000;
const MOST_AGO_MS = 10_000;
const MOST_PCT = 1_000;
const MOST_CODES = 40;
const LONGEST_CODE = 120;

/**
 * The reading in a record a box sent, or nothing where a figure that is always there is missing, or one is none or one no engine
 * gives. A ripple, shares or codes that are not right are left out, and the rest is taken.
 */
export function readingOf(sent: Readonly<Record<string, unknown>>): BoxReading | undefined {
  const atMs = sent['atMs'];
  if (!isBetween(atMs, 0, LONGEST_MS)) return undefined;
  const figures: Partial<Record<(typeof CHANNELS)[number]['id'], number>> = {};
  for (const { id, least, most, always } of CHANNELS) {
    const figure = sent[id];
    if (figure === undefined && !always) continue;
    if (!isBetween(figure, least, most)) return undefined;
    figures[id] = figure;
  }
  const { volts = 0, amps = 0, rpm = 0, ...others } = figures;
  const rippleA = listOf(sent['rippleA'], MOST_RIPPLE, (one) => isBetween(one, -MOST_A, MOST_A));
  const addsPct = listOf(sent['addsPct'], MOST_CYLINDERS, (one) => isBetween(one, -MOST_PCT, MOST_PCT));
  const codes = listOf(
    sent['codes'],
    MOST_CODES,
    (one): one is string => typeof one === 'string' && one.trim() !== '' && one.length <= LONGEST_CODE,
  );
  const firstAgoMs = sent['firstAgoMs'];
  return {
    atMs,
    volts,
    amps,
    rpm,
    ...others,
    ...(rippleA ? { rippleA } : {}),
    ...(isBetween(firstAgoMs, 0, MOST_AGO_MS) ? { firstAgoMs } : {}),
    ...(addsPct ? { addsPct } : {}),
    ...(codes ? { codes: codes.map((code) => code.trim()) } : {}),
  };
}

function isBetween(figure: unknown, least: number, most: number): figure is number {
  return typeof figure === 'number' && figure >= least && figure <= most;
}

function listOf<One>(sent: unknown, most: number, isOne: (one: unknown) => one is One): readonly One[] | undefined {
  return Array.isArray(sent) && sent.length > 0 && sent.length <= most && sent.every(isOne) ? sent : undefined;
}
