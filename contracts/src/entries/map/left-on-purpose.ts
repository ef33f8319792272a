import { id, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const leftOnPurposeSchema: EntrySchema<'left-on-purpose'> = entry('left-on-purpose', {
  connection: id(),
  reason: text(),
});
