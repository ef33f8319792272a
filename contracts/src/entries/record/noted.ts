import { optionalId, optionalYesOrNo, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const notedSchema: EntrySchema<'noted'> = entry('noted', {
  text: text(),
  operation: optionalId(),
  house: optionalYesOrNo(),
});
