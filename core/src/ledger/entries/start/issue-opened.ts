import type { ConnectionId } from '../../../connection-map/index.js';
import type { IssueSort } from '../../../first-start/index.js';
import { NOTHING, refuse, unknown, type Refusal } from '../../refusal.js';
import type { JobState, Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Something is wrong at first start, and which sort of wrong it is. */
export interface IssueOpened {
  readonly kind: 'issue-opened';
  readonly issue: string;
  readonly title: string;
  readonly sort: IssueSort;
  readonly connection?: ConnectionId;
}

export interface Issue extends Mark {
  readonly issue: string;
  readonly title: string;
  readonly sort: IssueSort;
  readonly connection?: ConnectionId;
  readonly closed?: Mark & { readonly how: string };
}

export const issueOpened: EntryRules<IssueOpened> = {
  mayFollow({ issues, work }, { issue, connection }) {
    if (issues.has(issue)) return refuse('twice', 'This issue is open already.');
    return connection === undefined || work.connections.has(connection) ? NOTHING : unknown('connection', connection);
  },
  fold: (draft, { issue, title, sort, connection }, mark) =>
    void draft.issues.set(issue, { issue, title, sort, ...(connection ? { connection } : {}), ...mark }),
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  leavesOpen: ({ issues }) =>
    [...issues.values()].flatMap(({ title, sort, closed }) =>
      closed ? [] : [{ is: 'issue', grave: sort === 'real', words: `Open: ${title}` }],
    ),
  words: ({ title }) => `Issue: ${title}`,
};

/** Why nothing more is said of the issue `id`: there is none, or it is closed. */
export function stillOpenIssue({ issues }: JobState, id: string): readonly Refusal[] {
  const issue = issues.get(id);
  if (!issue) return unknown('issue', id);
  return issue.closed ? refuse('twice', `“${issue.title}” is closed already.`) : NOTHING;
}
