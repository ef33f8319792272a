import { oneOf } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const heightSetSchema: EntrySchema<'height-set'> = entry('height-set', {
  height: oneOf(['ground', 'raised'] as const),
});
