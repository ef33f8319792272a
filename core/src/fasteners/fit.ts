import type { MeasuredBolt } from './measured.js';
import type { FastenerSpec } from './spec.js';

/**
 * How readings scatter about the true size, as a normal spread with a share of outright mistakes: the gauge blade next
 * to the right one, a length taken over the head, the wrong spanner tried. Crests of a 6g thread lie a little under the
 * nominal size (ISO 965-1), and wear takes more off: M8 reads 7.8 to 8.0.
 */
const CREST_UNDER = 0.014;
const SPREAD = { diameterMm: 0.09, pitchMm: 0.035, lengthMm: 0.5, lengthShare: 0.01, flatsMm: 0.12 } as const;
const MISTAKE = {
  diameter: 0.02,
  pitch: 0.05,
  length: 0.03,
  drive: 0.03,
  size: 0.02,
  form: 0.01,
  flange: 0.05,
} as const;
/** Ranges over which a mistake, or a fastener from somewhere else, may lie, in millimetres; stars by number. */
const RANGE = { diameter: 20, pitch: 2.3, length: 110, flats: 24, star: 50 } as const;
const KINDS = { drive: 7, form: 9 } as const;

/** A reading of something the home’s fastener does not have: nobody takes a nut for long, or a clip for threaded. */
const NOTHING_TO_MEASURE = 0.1;

/** One reading held against one home. */
export interface Fit {
  /** Logarithm of how much better the home explains the readings than chance does; nought says nothing. */
  readonly evidence: number;
  /** Readings that speak for it, and readings that speak against it, in words. */
  readonly agrees: readonly string[];
  readonly differs: readonly string[];
}

/** Below this a reading is said to speak against a home. */
const AGAINST = -0.7;

/** How well `bolt` fits `spec`. A reading that is missing, or that the map says nothing about, says nothing. */
export function fitOf(bolt: MeasuredBolt, spec: FastenerSpec): Fit {
  let evidence = 0;
  const agrees: string[] = [];
  const differs: string[] = [];
  const weigh = (ratio: number, read: string, not: string) => {
    const log = Math.log(ratio);
    evidence += log;
    if (log < AGAINST) differs.push(`${read}, not ${not}`);
    else if (log > 0) agrees.push(read);
  };
  const { thread } = spec;
  if (bolt.diameterMm !== undefined && thread) {
    const expected = thread.diameterMm * (1 - CREST_UNDER);
    weigh(
      near(bolt.diameterMm, expected, SPREAD.diameterMm, MISTAKE.diameter, RANGE.diameter),
      `${mm(bolt.diameterMm)} across`,
      `${mm(expected)} as ${thread.name} measures`,
    );
  }
  if (bolt.diameterMm !== undefined && !thread && spec.form !== 'other')
    weigh(NOTHING_TO_MEASURE, `${mm(bolt.diameterMm)} across`, 'threaded at all');
  if (bolt.lengthMm !== undefined && spec.form === 'nut')
    weigh(NOTHING_TO_MEASURE, `${mm(bolt.lengthMm)} long`, 'a thing with a shank');
  if (bolt.pitchMm !== undefined && thread)
    weigh(
      near(bolt.pitchMm, thread.pitchMm, SPREAD.pitchMm, MISTAKE.pitch, RANGE.pitch),
      `pitch ${mm(bolt.pitchMm)}`,
      mm(thread.pitchMm),
    );
  if (bolt.lengthMm !== undefined && spec.lengthMm !== undefined)
    weigh(
      near(
        bolt.lengthMm,
        spec.lengthMm,
        SPREAD.lengthMm + SPREAD.lengthShare * spec.lengthMm,
        MISTAKE.length,
        RANGE.length,
      ),
      `${mm(bolt.lengthMm)} long`,
      mm(spec.lengthMm),
    );
  if (bolt.drive !== undefined && spec.drive !== undefined)
    weigh(alike(bolt.drive === spec.drive, MISTAKE.drive, KINDS.drive), `${bolt.drive} head`, spec.drive);
  if (bolt.driveSize !== undefined && spec.driveSize !== undefined && (bolt.drive ?? spec.drive) === spec.drive)
    weigh(
      near(
        bolt.driveSize,
        spec.driveSize,
        SPREAD.flatsMm,
        MISTAKE.size,
        spec.drive === 'star' ? RANGE.star : RANGE.flats,
      ),
      `${spec.drive === 'star' ? 'T' : 'head '}${bolt.driveSize}`,
      String(spec.driveSize),
    );
  if (bolt.form !== undefined && spec.form !== 'other')
    weigh(alike(bolt.form === spec.form, MISTAKE.form, KINDS.form), `a ${bolt.form}`, `a ${spec.form}`);
  if (bolt.flanged !== undefined && spec.form === 'bolt')
    weigh(
      alike(bolt.flanged === (spec.flanged ?? false), MISTAKE.flange, 2),
      bolt.flanged ? 'a flange' : 'no flange',
      bolt.flanged ? 'without' : 'with one',
    );
  return { evidence, agrees, differs };
}

/** Density of a reading about what is expected, mistakes among them, over its density by chance. */
function near(read: number, expected: number, spread: number, mistake: number, range: number): number {
  const off = (read - expected) / spread;
  const density = Math.exp(-0.5 * off * off) / (spread * Math.sqrt(2 * Math.PI));
  return ((1 - mistake) * density + mistake / range) * range;
}

/** Probability of an observation that is one of `kinds`, over its probability by chance. */
function alike(same: boolean, mistake: number, kinds: number): number {
  return (same ? 1 - mistake : mistake / (kinds - 1)) * kinds;
}

function mm(value: number): string {
  return `${Number(value.toFixed(2))} mm`;
}
