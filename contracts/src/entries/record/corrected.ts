import { text, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const correctedSchema: EntrySchema<'corrected'> = entry('corrected', { corrects: uuid(), reason: text() });
