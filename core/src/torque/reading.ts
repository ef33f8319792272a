import { torqueToNm, type TorqueReadingAsRead } from '../units/index.js';

/** What is printed on a wrench: the least and the most it reads, in N·m. */
export interface WrenchRange {
  readonly lowestNm: number;
  readonly highestNm: number;
}

export interface TorqueWrench extends WrenchRange {
  readonly id: string;
  readonly name: string;
}

/**
 * The wrenches every shop began with. Readings of older ledgers name one of them and nothing else, so what stands here
 * is never changed; newer readings bring the range of their wrench along.
 */
export const FIRST_WRENCHES: readonly TorqueWrench[] = [
  { id: 'screwdriver', name: 'Torque screwdriver, 1–6 N·m', lowestNm: 1, highestNm: 6 },
  { id: 'quarter', name: '1/4 in, 2–25 N·m', lowestNm: 2, highestNm: 25 },
  { id: 'three-eighths', name: '3/8 in, 10–110 N·m', lowestNm: 10, highestNm: 110 },
  { id: 'half', name: '1/2 in, 40–330 N·m', lowestNm: 40, highestNm: 330 },
];

export type TorqueVerdict = 'within' | 'under' | 'over' | 'tool-out-of-range' | 'out-of-calibration' | 'too-early';

/** A click wrench is trusted from a fifth of its full scale upwards. */
const TRUSTED_FROM = 0.2;

/** Share of the target by which a reading may miss it: 0.06 at or below 10 N·m, else 0.04 (ISO 6789-1). */
export function torqueTolerance(targetNm: number): number {
  return targetNm <= 10 ? 0.06 : 0.04;
}

/** Lowest and highest reading in N·m that meet `targetNm`. */
export function torqueWindow(targetNm: number): { readonly lowNm: number; readonly highNm: number } {
  const tolerance = torqueTolerance(targetNm);
  return { lowNm: targetNm * (1 - tolerance), highNm: targetNm * (1 + tolerance) };
}

/** Whether `wrench` can be trusted at `torqueNm`: within its printed range and at least a fifth of full scale. */
export function wrenchTrusted({ lowestNm, highestNm }: WrenchRange, torqueNm: number): boolean {
  return torqueNm >= Math.max(lowestNm, TRUSTED_FROM * highestNm) && torqueNm <= highestNm;
}

/** What to make of `read` with `wrench` against a target in N·m. */
export function judgeTorque(targetNm: number, read: TorqueReadingAsRead, wrench: WrenchRange): TorqueVerdict {
  if (!wrenchTrusted(wrench, targetNm)) return 'tool-out-of-range';
  const readNm = torqueToNm(read);
  const { lowNm, highNm } = torqueWindow(targetNm);
  // A reading printed to one decimal must not fail on the binary image of that decimal.
  const slackNm = 1e-9 * targetNm;
  if (readNm < lowNm - slackNm) return 'under';
  if (readNm > highNm + slackNm) return 'over';
  return 'within';
}

/** The wrench to reach for at `targetNm`: the smallest that can be trusted there, or undefined. */
export function wrenchFor(
  targetNm: number,
  wrenches: readonly TorqueWrench[] = FIRST_WRENCHES,
): TorqueWrench | undefined {
  return [...wrenches]
    .sort((one, other) => one.highestNm - other.highestNm)
    .find((wrench) => wrenchTrusted(wrench, targetNm));
}
