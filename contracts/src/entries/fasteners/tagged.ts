import { count, id } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const taggedSchema: EntrySchema<'tagged'> = entry('tagged', { connection: id(), tag: count(100_000, 1) });
