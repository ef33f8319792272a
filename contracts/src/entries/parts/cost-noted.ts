import { COST_SORTS } from '@brisk/core/ledger';
import { count, name, oneOf, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const costNotedSchema: EntrySchema<'cost-noted'> = entry('cost-noted', {
  cost: uuid(),
  sort: oneOf(COST_SORTS),
  name: name(),
  cents: count(1_000_000_000),
});
