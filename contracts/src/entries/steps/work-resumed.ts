import { entry, type EntrySchema } from '../entry-schema.js';

export const workResumedSchema: EntrySchema<'work-resumed'> = entry('work-resumed', {});
