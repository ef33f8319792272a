import { id, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const torqueAcceptedSchema: EntrySchema<'torque-accepted'> = entry('torque-accepted', {
  connection: id(),
  reason: text(),
});
