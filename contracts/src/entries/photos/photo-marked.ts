import { marksDrawn } from '../../photo-mark.js';
import { photoName } from '../../photo-name.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const photoMarkedSchema: EntrySchema<'photo-marked'> = entry('photo-marked', {
  photo: photoName(),
  marks: marksDrawn(),
});
