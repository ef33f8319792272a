import { LAGGING } from '@brisk/core/ledger';
import { amount, oneOf } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** More than any hoist of a shed carries. */
const MOST_KG = 20_000;

export const loadReadSchema: EntrySchema<'load-read'> = entry('load-read', {
  kg: amount(MOST_KG),
  lagging: oneOf(LAGGING).optional(),
});
