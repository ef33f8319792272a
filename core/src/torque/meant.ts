import { TORQUE_UNITS, torqueToNm, type TorqueReadingAsRead } from '../units/index.js';
import { torqueTolerance } from './reading.js';

/** A reading as far off as this, up or down, is hardly one of that joint. */
const FAR = 2.5;
/** What else may have been meant has to come so near, in tolerances of the wrench. */
const NEAR = 2.5;

/**
 * What somebody may have meant who typed `read` where `wantedNm` is wanted: the same figure with its comma elsewhere, or in
 * another unit. Undefined where nothing speaks against it; an empty list where it is far off and nothing else fits either.
 */
export function otherwiseMeant(
  wantedNm: number,
  read: TorqueReadingAsRead,
): readonly TorqueReadingAsRead[] | undefined {
  const near = (one: TorqueReadingAsRead) =>
    Math.abs(torqueToNm(one) / wantedNm - 1) <= NEAR * torqueTolerance(wantedNm);
  if (near(read)) return undefined;
  const ratio = torqueToNm(read) / wantedNm;
  const far = ratio > FAR || ratio < 1 / FAR;
  const others = [
    ...[10, 100].flatMap((by) => [
      { ...read, value: Number((read.value / by).toPrecision(12)) },
      { ...read, value: Number((read.value * by).toPrecision(12)) },
    ]),
    ...TORQUE_UNITS.filter((unit) => unit !== read.unit).map((unit) => ({ ...read, unit })),
  ].filter(near);
  return far || others.length > 0 ? others : undefined;
}
