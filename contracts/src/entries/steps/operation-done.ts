import { mixed } from 'yup';
import { id } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const operationDoneSchema: EntrySchema<'operation-done'> = entry('operation-done', {
  operation: id(),
  withOld: mixed<true>().oneOf([true]).optional(),
  helped: mixed<true>().oneOf([true]).optional(),
});
