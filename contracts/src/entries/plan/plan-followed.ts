import { HALVES } from '@brisk/core/teardown';
import { amount, count, id, list, oneOf, optionalList } from '../../fields.js';
import { planFields } from '../../plan-settings.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const planFollowedSchema: EntrySchema<'plan-followed'> = entry('plan-followed', {
  half: oneOf(HALVES),
  order: list(id(), 3_000),
  moveFirst: optionalList(id(), 3_000),
  ...planFields,
  finishMin: amount(1_000_000),
  heightChanges: count(10_000),
});
