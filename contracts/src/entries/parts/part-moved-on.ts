import { PART_STAGES } from '@brisk/core/ledger';
import { id, oneOf, optionalDay, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const partMovedOnSchema: EntrySchema<'part-moved-on'> = entry('part-moved-on', {
  need: id(),
  to: oneOf(PART_STAGES),
  expectedOn: optionalDay(),
  note: optionalText(),
});
