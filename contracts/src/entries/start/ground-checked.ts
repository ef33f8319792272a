import { id, optionalAmount, optionalText, yesOrNo } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const groundCheckedSchema: EntrySchema<'ground-checked'> = entry('ground-checked', {
  connection: id(),
  good: yesOrNo(),
  ohms: optionalAmount(1_000_000),
  dropV: optionalAmount(100),
  note: optionalText(),
});
