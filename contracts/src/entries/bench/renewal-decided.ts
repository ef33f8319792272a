import { WHEN_RENEWED } from '@brisk/core/ledger';
import { id, list, oneOf, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** Nobody weighs more together. */
const MOST_AT_ONCE = 100;

export const renewalDecidedSchema: EntrySchema<'renewal-decided'> = entry('renewal-decided', {
  renewals: list(id(), MOST_AT_ONCE, 1),
  doIt: oneOf(WHEN_RENEWED),
  reason: optionalText(),
});
