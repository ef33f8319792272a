import { MEANS, TROUBLES } from '@brisk/core/ledger';
import { amount, id, oneOf, optionalAmount, optionalList, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const operationStuckSchema: EntrySchema<'operation-stuck'> = entry('operation-stuck', {
  operation: id(),
  trouble: oneOf(TROUBLES),
  tried: text(),
  minutesLost: amount(10_000),
  means: optionalList(oneOf(MEANS), MEANS.length),
  soakMin: optionalAmount(10_000, 1),
});
