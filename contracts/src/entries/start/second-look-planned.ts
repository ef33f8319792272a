import { id, optionalDay, optionalPositive, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const secondLookPlannedSchema: EntrySchema<'second-look-planned'> = entry('second-look-planned', {
  look: id(),
  what: text(),
  dueOn: optionalDay(),
  afterKm: optionalPositive(1_000_000),
});
