import type { PinnedTo } from '@brisk/core/photos';
import { count, optionalId, optionalNumber, optionalText } from '../../fields.js';
import { photoName } from '../../photo-name.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const photoTakenSchema: EntrySchema<'photo-taken'> = entry('photo-taken', {
  photo: photoName(),
  widthPx: count(20_000, 1),
  heightPx: count(20_000, 1),
  pinnedTo: record<PinnedTo>({
    operation: optionalId(),
    connection: optionalId(),
    tag: optionalNumber(),
    bag: optionalNumber(),
    card: optionalId(),
  }),
  words: optionalText(),
});
