import { PHOTO_MARKS, type PhotoMark } from '@brisk/core/photos';
import { list, oneOf, optionalName, share } from '../../fields.js';
import { photoName } from '../../photo-name.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

const pointOnPhoto = () => record<PhotoMark['from']>({ x: share(), y: share() });

export const photoMarkedSchema: EntrySchema<'photo-marked'> = entry('photo-marked', {
  photo: photoName(),
  marks: list(
    record<PhotoMark>({ kind: oneOf(PHOTO_MARKS), from: pointOnPhoto(), to: pointOnPhoto(), words: optionalName(200) }),
    60,
  ),
});
