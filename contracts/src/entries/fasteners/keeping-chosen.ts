import { KEEPINGS } from '@brisk/core/ledger';
import { oneOf } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const keepingChosenSchema: EntrySchema<'keeping-chosen'> = entry('keeping-chosen', { keeping: oneOf(KEEPINGS) });
