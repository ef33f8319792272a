import { KEEPINGS } from '@brisk/core/ledger';
import { count, id, oneOf, optionalNumber, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const fastenersCountedSchema: EntrySchema<'fasteners-counted'> = entry('fasteners-counted', {
  connection: id(),
  direction: oneOf(['out', 'in'] as const),
  count: count(1_000),
  bag: optionalNumber(),
  kept: oneOf(KEEPINGS).optional(),
  note: optionalText(),
});
