import { count, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const handedOverSchema: EntrySchema<'handed-over'> = entry('handed-over', {
  openItems: count(100_000),
  note: optionalText(),
});
