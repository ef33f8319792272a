import type { BelongsTo } from '@brisk/core/ledger';
import { MOST_LITERATURE } from '@brisk/core/literature';
import { count, optionalId, optionalName } from '../../fields.js';
import { literatureFile } from '../../literature-file.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const pagePinnedSchema: EntrySchema<'page-pinned'> = entry('page-pinned', {
  file: literatureFile(),
  page: count(MOST_LITERATURE.pages, 1),
  to: record<BelongsTo>({ operation: optionalId(), connection: optionalId(), part: optionalId() }),
  words: optionalName(200),
});
