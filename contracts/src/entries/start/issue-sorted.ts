import { ISSUE_SORTS } from '@brisk/core/first-start';
import { oneOf, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const issueSortedSchema: EntrySchema<'issue-sorted'> = entry('issue-sorted', {
  issue: uuid(),
  sort: oneOf(ISSUE_SORTS),
});
