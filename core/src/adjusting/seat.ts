import type { SeatKind } from '../connection-map/index.js';
import { AdjustError } from './adjust-error.js';

/** A seat as it was measured: depths or heights all round, and the maker’s figure where it is known. In mm. */
export interface SeatReading {
  readonly seat: SeatKind;
  readonly readingsMm: readonly number[];
  readonly figureMm?: number;
}

/** Home, or what is wrong. `words` are for whoever holds the rule. */
export interface SeatVerdict {
  readonly good: boolean;
  readonly words: string;
}

/** What each seat is, how it is measured, and at how many places. */
export const SEAT_WORDS: Readonly<
  Record<
    SeatKind,
    { readonly name: string; readonly how: string; readonly places: number; readonly needsFigure: boolean }
  >
> = {
  'converter-depth': {
    name: 'Depth of the converter',
    how: 'Straight edge over the bell face, rule down to a mounting pad.',
    places: 1,
    needsFigure: true,
  },
  'clutch-fingers': {
    name: 'Height of the clutch fingers',
    how: 'From the flywheel face to the finger tips, at three places a third of the way round.',
    places: 3,
    needsFigure: false,
  },
};

/** A rule against a straight edge is read to half a millimetre. */
const READ_TO_MM = 0.5;
/** Fingers that differ by more lie on a cover drawn down crooked, or are worn. Usual for a dry plate; the maker’s wins. */
const FINGERS_APART_MM = 0.8;

/**
 * Judges a seat: a converter is home where it lies as deep as its figure, or deeper; the fingers of a clutch are even, and at
 * their figure where it is known. Throws {@link AdjustError} for too few readings, or none that can be.
 */
export function judgeSeat({ seat, readingsMm, figureMm }: SeatReading): SeatVerdict {
  const { places, needsFigure } = SEAT_WORDS[seat];
  if (readingsMm.length < places || !readingsMm.every((mm) => mm >= 0 && mm <= 300))
    throw new AdjustError(
      places === 1 ? 'Measure it first, in mm from 0 to 300.' : `Measure it at ${places} places, in mm from 0 to 300.`,
    );
  if (needsFigure && figureMm === undefined)
    throw new AdjustError('The maker’s figure is needed: without it nobody knows whether it is home.');
  const least = Math.min(...readingsMm);
  const most = Math.max(...readingsMm);
  const said = (mm: number) => `${mm.toFixed(1)} mm`;
  if (seat === 'converter-depth') {
    const short = (figureMm ?? 0) - least;
    return short > READ_TO_MM
      ? { good: false, words: `${said(short)} short of home: turn and push until it drops once more.` }
      : { good: true, words: `Home: ${said(least)}, the figure is ${said(figureMm ?? 0)}.` };
  }
  if (most - least > FINGERS_APART_MM)
    return {
      good: false,
      words: `Fingers ${said(most - least)} apart: slacken the cover, draw it down a turn at a time.`,
    };
  const off = figureMm === undefined ? 0 : readingsMm.reduce((sum, mm) => sum + mm, 0) / readingsMm.length - figureMm;
  return Math.abs(off) > FINGERS_APART_MM
    ? {
        good: false,
        words: `Even, but ${said(Math.abs(off))} ${off > 0 ? 'over' : 'under'} the figure: is it the right disc, the right way round?`,
      }
    : { good: true, words: `Even within ${said(most - least)}${figureMm === undefined ? '' : `, and at its figure`}.` };
}
