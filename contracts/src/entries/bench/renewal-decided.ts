import { WHEN_RENEWED } from '@brisk/core/ledger';
import { id, oneOf, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const renewalDecidedSchema: EntrySchema<'renewal-decided'> = entry('renewal-decided', {
  renewal: id(),
  doIt: oneOf(WHEN_RENEWED),
  reason: optionalText(),
});
