import type { Compared } from '@brisk/core/ledger';
import { id, list, name, optionalText, yesOrNo } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const partComparedSchema: EntrySchema<'part-compared'> = entry('part-compared', {
  need: id(),
  compared: list(record<Compared>({ what: name(), same: yesOrNo(), note: optionalText() }), 20, 1),
});
