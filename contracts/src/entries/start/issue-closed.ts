import { text, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const issueClosedSchema: EntrySchema<'issue-closed'> = entry('issue-closed', { issue: uuid(), how: text() });
