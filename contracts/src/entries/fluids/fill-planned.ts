import { PRIMING_WAYS } from '@brisk/core/fluids';
import { FILL_SCHOOLS } from '@brisk/core/ledger';
import { amount, id, oneOf, optionalAmount, optionalList, positive } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const fillPlannedSchema: EntrySchema<'fill-planned'> = entry('fill-planned', {
  circuit: id(),
  freezingC: amount(100, -273).optional(),
  shareInside: optionalAmount(1),
  school: oneOf(FILL_SCHOOLS).optional(),
  cansL: optionalList(positive(1_000), 10),
  priming: oneOf(PRIMING_WAYS).optional(),
});
