import { id } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const foundStillOnSchema: EntrySchema<'found-still-on'> = entry('found-still-on', { connection: id() });
