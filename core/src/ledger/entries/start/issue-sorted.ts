import type { IssueSort } from '../../../first-start/index.js';
import type { EntryRules } from '../entry-rules.js';
import { stillOpenIssue } from './issue-opened.js';

/** An issue is of another sort than it was taken for. */
export interface IssueSorted {
  readonly kind: 'issue-sorted';
  readonly issue: string;
  readonly sort: IssueSort;
}

export const issueSorted: EntryRules<IssueSorted> = {
  mayFollow: (state, { issue }) => stillOpenIssue(state, issue),
  fold(draft, { issue: id, sort }) {
    const issue = draft.issues.get(id);
    if (issue) draft.issues.set(id, { ...issue, sort });
  },
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  words: ({ issue }, { state }) => `Issue sorted: ${state.issues.get(issue)?.title ?? ''}`,
};
