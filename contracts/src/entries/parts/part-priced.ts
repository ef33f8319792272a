import { id, optionalAmount, optionalCents, optionalDay, optionalName } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const partPricedSchema: EntrySchema<'part-priced'> = entry('part-priced', {
  need: id(),
  supplier: optionalName(),
  number: optionalName(),
  priceCents: optionalCents(),
  coreChargeCents: optionalCents(),
  coreDueOn: optionalDay(),
  leadDays: optionalAmount(3_650),
});
