import { uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const helpAnsweredSchema: EntrySchema<'help-answered'> = entry('help-answered', { call: uuid() });
