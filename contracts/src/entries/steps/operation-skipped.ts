import { SKIP_MODES } from '@brisk/core/ledger';
import { id, oneOf, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const operationSkippedSchema: EntrySchema<'operation-skipped'> = entry('operation-skipped', {
  operation: id(),
  mode: oneOf(SKIP_MODES),
  reason: text(),
});
