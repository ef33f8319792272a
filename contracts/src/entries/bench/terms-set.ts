import { optionalAmount, optionalCents, optionalPositive, positive } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const termsSetSchema: EntrySchema<'terms-set'> = entry('terms-set', {
  yearsIn: positive(50),
  kmPerYear: optionalPositive(1_000_000),
  budgetCents: optionalCents(),
  budgetHours: optionalAmount(10_000),
});
