import { entry, type EntrySchema } from '../entry-schema.js';

export const workPausedSchema: EntrySchema<'work-paused'> = entry('work-paused', {});
