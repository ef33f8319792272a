import { id, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const countAcceptedSchema: EntrySchema<'count-accepted'> = entry('count-accepted', {
  connection: id(),
  reason: text(),
});
