import { OWNERS, PART_CONDITIONS, PLACES } from '@brisk/core/ledger';
import { id, oneOf, optionalName, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const partPlacedSchema: EntrySchema<'part-placed'> = entry('part-placed', {
  part: id(),
  owner: oneOf(OWNERS),
  place: oneOf(PLACES),
  where: optionalName(),
  condition: oneOf(PART_CONDITIONS).optional(),
  number: optionalName(),
  waitsFor: optionalName(),
  reason: optionalText(),
});
