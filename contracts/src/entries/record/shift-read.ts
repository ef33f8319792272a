import { uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const shiftReadSchema: EntrySchema<'shift-read'> = entry('shift-read', { shift: uuid() });
