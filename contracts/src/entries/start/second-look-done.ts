import { id, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const secondLookDoneSchema: EntrySchema<'second-look-done'> = entry('second-look-done', {
  look: id(),
  note: optionalText(),
});
