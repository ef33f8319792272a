import { id, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const causeFoundSchema: EntrySchema<'cause-found'> = entry('cause-found', {
  cause: id(),
  name: text(),
  mended: text(),
});
