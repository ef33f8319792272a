import { optionalAmount, optionalCents, positive } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const termsSetSchema: EntrySchema<'terms-set'> = entry('terms-set', {
  yearsIn: positive(50),
  budgetCents: optionalCents(),
  budgetHours: optionalAmount(10_000),
});
