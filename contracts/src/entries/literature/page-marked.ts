import { MOST_LITERATURE } from '@brisk/core/literature';
import { count } from '../../fields.js';
import { literatureFile } from '../../literature-file.js';
import { marksDrawn } from '../../photo-mark.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const pageMarkedSchema: EntrySchema<'page-marked'> = entry('page-marked', {
  file: literatureFile(),
  page: count(MOST_LITERATURE.pages, 1),
  marks: marksDrawn(),
});
