import { id, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const lookedAtSchema: EntrySchema<'looked-at'> = entry('looked-at', {
  look: id(),
  finding: id(),
  note: optionalText(),
});
