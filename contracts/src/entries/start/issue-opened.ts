import { ISSUE_SORTS } from '@brisk/core/first-start';
import { name, oneOf, optionalId, uuid } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const issueOpenedSchema: EntrySchema<'issue-opened'> = entry('issue-opened', {
  issue: uuid(),
  title: name(),
  sort: oneOf(ISSUE_SORTS),
  connection: optionalId(),
});
