import { CONDITIONS_OF_FASTENER } from '@brisk/core/ledger';
import { count, id, oneOf, optionalName } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const fastenersJudgedSchema: EntrySchema<'fasteners-judged'> = entry('fasteners-judged', {
  connection: id(),
  set: count(40),
  count: count(1_000),
  condition: oneOf(CONDITIONS_OF_FASTENER),
  replacedBy: optionalName(),
});
