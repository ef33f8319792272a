import { id, optionalPositive, positive } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const lifeGuessedSchema: EntrySchema<'life-guessed'> = entry('life-guessed', {
  renewal: id(),
  yearsLeft: positive(100),
  kmLeft: optionalPositive(10_000_000),
});
