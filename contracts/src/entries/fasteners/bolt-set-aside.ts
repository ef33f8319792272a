import { text, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const boltSetAsideSchema: EntrySchema<'bolt-set-aside'> = entry('bolt-set-aside', {
  bolt: uuid(),
  reason: text(),
});
