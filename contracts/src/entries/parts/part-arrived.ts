import { id } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const partArrivedSchema: EntrySchema<'part-arrived'> = entry('part-arrived', { need: id() });
