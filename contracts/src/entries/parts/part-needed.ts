import { count, name, optionalId, text, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const partNeededSchema: EntrySchema<'part-needed'> = entry('part-needed', {
  need: uuid(),
  name: name(),
  quantity: count(10_000, 1),
  reason: text(),
  operation: optionalId(),
});
