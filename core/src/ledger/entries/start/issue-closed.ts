import type { EntryRules } from '../entry-rules.js';
import { stillOpenIssue } from './issue-opened.js';

/** An issue is settled, and how. */
export interface IssueClosed {
  readonly kind: 'issue-closed';
  readonly issue: string;
  readonly how: string;
}

export const issueClosed: EntryRules<IssueClosed> = {
  mayFollow: (state, { issue }) => stillOpenIssue(state, issue),
  fold(draft, { issue: id, how }, mark) {
    const issue = draft.issues.get(id);
    if (issue) draft.issues.set(id, { ...issue, closed: { how, ...mark } });
  },
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  words: ({ issue, how }, { state }) => `Issue closed: ${state.issues.get(issue)?.title ?? ''}. ${how}`,
};
