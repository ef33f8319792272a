import { id } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const operationDoneSchema: EntrySchema<'operation-done'> = entry('operation-done', { operation: id() });
