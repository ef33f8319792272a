import { id, oneOf, optionalAmount, optionalText, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const warmUpNotedSchema: EntrySchema<'warm-up-noted'> = entry('warm-up-noted', {
  point: id(),
  words: text(),
  is: oneOf(['seen', 'not-yet']),
  reading: optionalAmount(100_000, -100),
  note: optionalText(),
});
