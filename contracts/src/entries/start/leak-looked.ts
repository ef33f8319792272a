import { LEAKS } from '@brisk/core/ledger';
import { id, oneOf, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const leakLookedSchema: EntrySchema<'leak-looked'> = entry('leak-looked', {
  connection: id(),
  is: oneOf(LEAKS),
  note: optionalText(),
});
