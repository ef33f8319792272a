import { RiggingError, turnsFor, hookTravelMm, type Leveller } from '../rigging/index.js';
import type { MachineShape } from '../shape/index.js';

/** The gap between bell and block in mm, at four places of the face. */
export interface BellGaps {
  readonly topMm: number;
  readonly bottomMm: number;
  readonly leftMm: number;
  readonly rightMm: number;
}

/**
 * What four gaps say, and what puts it right: where the far end of what is brought on, away from the joint, has to go. It
 * goes towards the side where the gap is wider.
 */
export interface BellJudgement {
  readonly is: 'home' | 'parallel' | 'askew';
  /** The far end up, above zero; to the left, above zero. */
  readonly raiseDeg: number;
  readonly swingDeg: number;
  /** Turns of the leveller’s crank for the first. */
  readonly turns: number;
}

/** Nearer than this in all four places they are as good as parallel, in mm; less than that wide, home. */
const EVEN_MM = 1;
const HOME_MM = 0.2;
/** Usual across a bell’s face, where nobody drew it, in mm. */
const USUAL_FACE_MM = 380;
/** A gap wider than this is nobody’s bell face yet. */
const WIDEST_MM = 200;

/** How wide the face of the bell is on this machine, in mm: the height of what the gearbox shows to its engine. */
export function bellFaceMm({ parts }: MachineShape): number {
  const [engine, gearbox] = ['engine', 'gearbox'].map((id) => parts.get(id)?.extent.z);
  if (!engine || !gearbox) return USUAL_FACE_MM;
  return Math.min(engine[1], gearbox[1]) - Math.max(engine[0], gearbox[0]);
}

/**
 * Judges the gap all round before the faces are brought together: parallel within a millimetre or told how to make them so,
 * by `atan(difference / face)`. `barMm` is from the centre of gravity up to the leveller’s bar. Throws `RiggingError` for a
 * gap that is none.
 */
export function judgeBellGap(
  { topMm, bottomMm, leftMm, rightMm }: BellGaps,
  faceMm: number,
  leveller: Leveller,
  barMm: number,
): BellJudgement {
  const gaps = [topMm, bottomMm, leftMm, rightMm];
  if (gaps.some((mm) => !(mm >= 0 && mm <= WIDEST_MM)))
    throw new RiggingError(`A gap is from 0 to ${WIDEST_MM} mm: measure again.`);
  const degrees = (difference: number) => (Math.atan2(difference, faceMm) * 180) / Math.PI;
  const raiseDeg = degrees(topMm - bottomMm);
  const even = Math.max(...gaps) - Math.min(...gaps) <= EVEN_MM;
  return {
    is: !even ? 'askew' : Math.max(...gaps) <= HOME_MM ? 'home' : 'parallel',
    raiseDeg,
    swingDeg: degrees(leftMm - rightMm),
    turns: Math.abs(turnsFor(leveller, hookTravelMm(barMm, 0, raiseDeg))),
  };
}
