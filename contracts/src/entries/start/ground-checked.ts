import { id, optionalText, yesOrNo } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const groundCheckedSchema: EntrySchema<'ground-checked'> = entry('ground-checked', {
  connection: id(),
  good: yesOrNo(),
  note: optionalText(),
});
