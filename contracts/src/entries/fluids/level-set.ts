import { amount, id, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const levelSetSchema: EntrySchema<'level-set'> = entry('level-set', {
  circuit: id(),
  addedL: amount(1_000, -1_000),
  celsius: amount(300, -60).optional(),
  note: optionalText(),
});
