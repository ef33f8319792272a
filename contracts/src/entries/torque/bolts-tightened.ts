import type { FittedAdapter, WrenchInHand, WrenchRange } from '@brisk/core/torque';
import { TORQUE_UNITS, type TorqueReadingAsRead } from '@brisk/core/units';
import { amount, count, id, list, name, oneOf, optionalDay, optionalPositive, positive } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

const MOST_STAGES = 8;
const MOST_BOLTS = 200;
const MOST_NM = 100_000;

const wrench = () =>
  record<WrenchInHand>({
    id: id(),
    name: name(),
    range: record<WrenchRange>({ lowestNm: positive(MOST_NM), highestNm: positive(MOST_NM) }),
    handleMm: optionalPositive(5_000),
    adapter: record<FittedAdapter>({ lengthMm: amount(2_000), angleDeg: amount(180, -180) })
      .optional()
      .default(undefined),
    calibratedOn: optionalDay(),
    uses: count(10_000_000).optional(),
  })
    .optional()
    .default(undefined);

export const boltsTightenedSchema: EntrySchema<'bolts-tightened'> = entry('bolts-tightened', {
  connection: id(),
  stage: count(MOST_STAGES),
  bolts: list(count(MOST_BOLTS), MOST_BOLTS, 1),
  read: record<TorqueReadingAsRead>({ value: positive(MOST_NM), unit: oneOf(TORQUE_UNITS) })
    .optional()
    .default(undefined),
  wrench: wrench(),
  degrees: optionalPositive(720),
});
