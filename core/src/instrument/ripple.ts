import { mean, median, scatterOf } from './figures.js';
import type { BoxReading } from './reading.js';

/** What the ripple of the starter’s current says of the compressions. */
export interface Compressions {
  readonly cylinders: number;
  /** Revolutions a minute by the ripple. */
  readonly rpm: number;
  /** How high the current goes at each compression over the valleys beside it, in A; from cylinder one in firing order, where `marked`. */
  readonly heightsA: readonly number[];
  /** Whether the box told when cylinder one is at the top; without, nobody knows which of them is the first. */
  readonly marked: boolean;
  /** The place, from 1, of the one that is clearly lower than the rest. */
  readonly weak?: number;
}

interface Sample {
  readonly atMs: number;
  readonly amps: number;
}
/** A sample by where the engine stands: whole numbers are the top of cylinder one, one cycle being two turns. */
interface Phased {
  readonly cycle: number;
  readonly amps: number;
}

/** The inrush of a starter is over after so long. */
const INRUSH_MS = 600;
/** Cylinders an engine may have. */
const COUNTS = [2, 3, 4, 5, 6, 8, 10, 12] as const;
const LEAST_CYCLES = 3;
const LEAST_SAMPLES = 60;
/** Revolutions read may be off by so much, as a share; looked through in such steps. */
const RPM_OFF = 0.12;
const RPM_STEP = 0.002;
/** A rhythm has to carry so much of the whole scatter of the current, or there is none. */
const LEAST_RHYTHM = 0.2;
/** Of a compression’s width: what counts as its top, and as its valleys. */
const TOP_WIDTH = 0.22;
/** A weak one is lower than the middle of the others by this share, and by so many of its own errors. */
const WEAK_SHARE = 0.15;
const WEAK_ERRORS = 4;

/**
 * Compression by compression, from the ripple of the starter’s current in the readings of one burst; undefined where there is no
 * ripple, too little of it, or no rhythm in it. The current is laid over the cycle by the marks of cylinder one, or, without
 * marks, by the revolutions read; the count of cylinders is that whose rhythm carries most of the scatter (a Fourier component
 * over the cycle).
 */
export function compressionsOf(burst: readonly BoxReading[]): Compressions | undefined {
  const samples = levelled(samplesOf(burst));
  if (samples.length < LEAST_SAMPLES) return undefined;
  const marks = marksOf(burst);
  const marked = marks.length > LEAST_CYCLES;
  const laid = marked ? overMarks(samples, marks) : overRevolutions(samples, burst);
  if (!laid || laid.length < LEAST_SAMPLES) return undefined;
  const best = rhythmOf(laid);
  if (best.share < LEAST_RHYTHM) return undefined;
  const cycles = (laid.at(-1)?.cycle ?? 0) - (laid[0]?.cycle ?? 0);
  if (cycles < LEAST_CYCLES) return undefined;
  const spanMs = (samples.at(-1)?.atMs ?? 0) - (samples[0]?.atMs ?? 0);
  const rpm = marked
    ? 120_000 / (((marks.at(-1) ?? 0) - (marks[0] ?? 0)) / (marks.length - 1))
    : (120_000 * cycles) / spanMs;
  const heights = Array.from({ length: best.cylinders }, (_, cylinder) =>
    heightsOf(laid, cylinder, best.cylinders, best.topAt),
  );
  const heightsA = heights.map(median);
  return {
    cylinders: best.cylinders,
    rpm: Math.round(rpm),
    heightsA: heightsA.map((height) => Math.round(height * 10) / 10),
    marked,
    ...weakIn(heights, heightsA),
  };
}

function weakIn(heights: readonly (readonly number[])[], heightsA: readonly number[]): { readonly weak?: number } {
  if (heightsA.length < 3) return {};
  const least = Math.min(...heightsA);
  const at = heightsA.indexOf(least);
  const others = median(heightsA.filter((_, other) => other !== at));
  // How far the difference may be off by itself: the error of its own height, and that of the others’ middle.
  const errorOf = (cylinder: readonly number[]) => scatterOf(cylinder) / Math.sqrt(Math.max(1, cylinder.length));
  const rest = heights.filter((_, other) => other !== at).map(errorOf);
  const error = Math.hypot(errorOf(heights[at] ?? []), median(rest) / Math.sqrt(rest.length));
  return others > 0 && least < others * (1 - WEAK_SHARE) && others - least > WEAK_ERRORS * error
    ? { weak: at + 1 }
    : {};
}

function samplesOf(burst: readonly BoxReading[]): readonly Sample[] {
  const beganMs = burst[0]?.atMs ?? 0;
  return burst
    .flatMap(({ atMs, rippleA = [] }, at) => {
      const before = burst[at - 1];
      return before
        ? rippleA.map((amps, k) => ({ atMs: before.atMs + ((k + 1) / rippleA.length) * (atMs - before.atMs), amps }))
        : [];
    })
    .filter(({ atMs }) => atMs - beganMs > INRUSH_MS);
}

function marksOf(burst: readonly BoxReading[]): readonly number[] {
  return burst.flatMap(({ atMs, firstAgoMs }) => (firstAgoMs === undefined ? [] : [atMs - firstAgoMs]));
}

/** Without what changes slowly: a battery that sinks, a starter that warms. A straight line by least squares is taken off. */
function levelled(samples: readonly Sample[]): readonly Sample[] {
  const count = samples.length;
  if (count === 0) return samples;
  const meanT = samples.reduce((sum, { atMs }) => sum + atMs, 0) / count;
  const meanA = samples.reduce((sum, { amps }) => sum + amps, 0) / count;
  const spread = samples.reduce((sum, { atMs }) => sum + (atMs - meanT) ** 2, 0);
  const slope =
    spread > 0 ? samples.reduce((sum, { atMs, amps }) => sum + (atMs - meanT) * (amps - meanA), 0) / spread : 0;
  return samples.map(({ atMs, amps }) => ({ atMs, amps: amps - meanA - slope * (atMs - meanT) }));
}

function overMarks(samples: readonly Sample[], marks: readonly number[]): readonly Phased[] {
  return samples.flatMap(({ atMs, amps }) => {
    const at = marks.findLastIndex((mark) => mark <= atMs);
    const [from, to] = [marks[at], marks[at + 1]];
    return from === undefined || to === undefined ? [] : [{ cycle: at + (atMs - from) / (to - from), amps }];
  });
}

/** By the revolutions read, all of them off by the one share that makes the rhythm clearest. */
function overRevolutions(samples: readonly Sample[], burst: readonly BoxReading[]): readonly Phased[] | undefined {
  const rpm = median(burst.map((reading) => reading.rpm).filter((read) => read > 0));
  if (!(rpm > 0)) return undefined;
  const laidAt = (share: number) => samples.map(({ atMs, amps }) => ({ cycle: (atMs * rpm * share) / 120_000, amps }));
  let best: { readonly laid: readonly Phased[]; readonly share: number } | undefined;
  for (let share = 1 - RPM_OFF; share <= 1 + RPM_OFF; share += RPM_STEP) {
    const laid = laidAt(share);
    const found = rhythmOf(laid).share;
    if (!best || found > best.share) best = { laid, share: found };
  }
  return best?.laid;
}

interface Rhythm {
  readonly cylinders: number;
  /** Of the scatter of the current that it carries. */
  readonly share: number;
  /** Where in the cycle its first top is. */
  readonly topAt: number;
}

function rhythmOf(laid: readonly Phased[]): Rhythm {
  const power = laid.reduce((sum, { amps }) => sum + amps ** 2, 0) / laid.length;
  const rhythms = COUNTS.map((cylinders): Rhythm => {
    let [real, imaginary] = [0, 0];
    for (const { cycle, amps } of laid) {
      const angle = 2 * Math.PI * cylinders * cycle;
      real += amps * Math.cos(angle);
      imaginary += amps * Math.sin(angle);
    }
    const amplitude = (2 * Math.hypot(real, imaginary)) / laid.length;
    return {
      cylinders,
      share: power > 0 ? amplitude ** 2 / 2 / power : 0,
      topAt: Math.atan2(imaginary, real) / (2 * Math.PI * cylinders),
    };
  });
  return rhythms.reduce((best, one) => (one.share > best.share ? one : best));
}

/** One height of `cylinder` for each cycle: the mean about its top over the mean of the valleys beside it. */
function heightsOf(laid: readonly Phased[], cylinder: number, cylinders: number, topAt: number): readonly number[] {
  const byCycle = new Map<number, { readonly top: number[]; readonly valley: number[] }>();
  for (const { cycle, amps } of laid) {
    const from = (cycle - topAt) * cylinders - cylinder;
    const turn = Math.round(from / cylinders);
    const off = Math.abs(from - turn * cylinders);
    if (off > 0.5 + TOP_WIDTH) continue;
    const kept = byCycle.get(turn) ?? { top: [], valley: [] };
    byCycle.set(turn, kept);
    if (off <= TOP_WIDTH) kept.top.push(amps);
    else if (off >= 0.5 - TOP_WIDTH) kept.valley.push(amps);
  }
  return [...byCycle.values()].flatMap(({ top, valley }) =>
    top.length > 0 && valley.length > 0 ? [mean(top) - mean(valley)] : [],
  );
}
