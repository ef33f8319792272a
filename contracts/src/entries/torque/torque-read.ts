import type { WrenchRange } from '@brisk/core/torque';
import { TORQUE_UNITS, type TorqueReadingAsRead } from '@brisk/core/units';
import { amount, id, oneOf, positive } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const torqueReadSchema: EntrySchema<'torque-read'> = entry('torque-read', {
  connection: id(),
  wrench: id(),
  range: record<WrenchRange>({ lowestNm: amount(100_000), highestNm: positive(100_000) })
    .optional()
    .default(undefined),
  read: record<TorqueReadingAsRead>({ value: positive(100_000), unit: oneOf(TORQUE_UNITS) }),
});
