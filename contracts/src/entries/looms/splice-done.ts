import { id } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const spliceDoneSchema: EntrySchema<'splice-done'> = entry('splice-done', { splice: id() });
