import { id } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const coreReturnedSchema: EntrySchema<'core-returned'> = entry('core-returned', {
  need: id(),
});
