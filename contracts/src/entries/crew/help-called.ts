import { name, optionalId, optionalName } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const helpCalledSchema: EntrySchema<'help-called'> = entry('help-called', {
  text: name(),
  operation: optionalId(),
  who: optionalName(),
});
