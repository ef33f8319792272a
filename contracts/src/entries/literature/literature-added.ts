import { LITERATURE_TYPES, MOST_LITERATURE } from '@brisk/core/literature';
import { count, name, oneOf } from '../../fields.js';
import { literatureFile } from '../../literature-file.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const literatureAddedSchema: EntrySchema<'literature-added'> = entry('literature-added', {
  file: literatureFile(),
  title: name(),
  type: oneOf(LITERATURE_TYPES),
  pages: count(MOST_LITERATURE.pages, 1),
  bytes: count(MOST_LITERATURE.fileBytes, 1),
});
