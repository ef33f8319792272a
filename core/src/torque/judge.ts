import { torqueToNm, type TorqueReadingAsRead } from '../units/index.js';
import { givenBy, type FittedAdapter } from './adapter.js';
import { torqueWindow, wrenchTrusted, type TorqueVerdict, type WrenchRange } from './reading.js';
import type { TighteningStage } from './stages.js';

/** The wrench in hand, as it was then. */
export interface WrenchInHand {
  readonly id: string;
  readonly name: string;
  readonly range: WrenchRange;
  /** From the square to the middle of the grip; has to be known where an adapter is on it. */
  readonly handleMm?: number;
  readonly adapter?: FittedAdapter;
  /** The day it was last calibrated, and how often it was used since. */
  readonly calibratedOn?: string;
  readonly uses?: number;
}

const DAY_MS = 86_400_000;
/** A click wrench is calibrated anew after so long or so many uses (ISO 6789-1). */
const CALIBRATED_FOR_MS = 365 * DAY_MS;
export const CALIBRATED_FOR_USES = 5_000;

/** Whether a wrench is due for calibration on `at` (ISO): after twelve months, or 5,000 uses. One nobody wrote of is not. */
export function calibrationDue(
  { calibratedOn, uses = 0 }: Pick<WrenchInHand, 'calibratedOn' | 'uses'>,
  at: string,
): boolean {
  if (calibratedOn === undefined) return false;
  return Date.parse(at) - Date.parse(calibratedOn) > CALIBRATED_FOR_MS || uses > CALIBRATED_FOR_USES;
}

/** What the bolt gets, in N·m, when `wrench` shows `read`. Throws `TorqueError`. */
export function boltNm({ handleMm = 0, adapter }: WrenchInHand, read: TorqueReadingAsRead): number {
  const shownNm = torqueToNm(read);
  return adapter ? givenBy(shownNm, handleMm, adapter) : shownNm;
}

/**
 * What to make of a bolt of a joint whose figure is `targetNm`, tightened in `stage` with `wrench` reading `read` at `at`.
 * Before the last torque stage only what goes beyond the figure itself is held against it. Throws `TorqueError`.
 */
export function judgeStage(
  stage: Extract<TighteningStage, { readonly is: 'torque' }>,
  targetNm: number,
  wrench: WrenchInHand,
  read: TorqueReadingAsRead,
  at: string,
): TorqueVerdict {
  const shownNm = torqueToNm(read);
  const gotNm = boltNm(wrench, read);
  const { lowNm, highNm } = torqueWindow(targetNm);
  // A reading printed to one decimal must not fail on the binary image of that decimal.
  const slackNm = 1e-9 * targetNm;
  if (gotNm > highNm + slackNm) return 'over';
  if (stage.share < 1) return 'within';
  // What has to be set for the figure: a reading that missed says nothing of the wrench.
  if (!wrenchTrusted(wrench.range, (targetNm * shownNm) / gotNm)) return 'tool-out-of-range';
  if (gotNm < lowNm - slackNm) return 'under';
  return calibrationDue(wrench, at) ? 'out-of-calibration' : 'within';
}
