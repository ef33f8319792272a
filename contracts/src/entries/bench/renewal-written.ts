import { renewalSchema } from '../../map.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const renewalWrittenSchema: EntrySchema<'renewal-written'> = entry('renewal-written', {
  renewal: renewalSchema,
});
