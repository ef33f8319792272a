import { FATES } from '@brisk/core/bench';
import { id, list, oneOf, optionalList, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const unitDecidedSchema: EntrySchema<'unit-decided'> = entry('unit-decided', {
  unit: id(),
  becomes: oneOf(FATES),
  comesWith: list(id(), 200),
  filled: optionalList(id(), 40),
  why: optionalText(),
  causeOfDeath: optionalText(),
});
