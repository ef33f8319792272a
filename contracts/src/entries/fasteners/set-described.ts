import { id, list } from '../../fields.js';
import { fastenerSet } from '../../map.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const setDescribedSchema: EntrySchema<'set-described'> = entry('set-described', {
  connection: id(),
  sets: list(fastenerSet(), 40, 1),
});
