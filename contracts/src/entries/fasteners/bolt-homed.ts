import { count, id, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const boltHomedSchema: EntrySchema<'bolt-homed'> = entry('bolt-homed', {
  bolt: uuid(),
  connection: id(),
  set: count(40),
});
