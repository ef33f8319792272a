import type { OpenItem } from '../../open-item.js';
import { NOTHING } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Something was looked at, listened to or measured to find out what is wrong; its words stand with it, whatever becomes of the list. */
export interface TroubleTestDone {
  readonly kind: 'trouble-test-done';
  readonly test: string;
  readonly asked: string;
  readonly answer: string;
  readonly answered: string;
  readonly note?: string;
}

export type TestDone = Omit<TroubleTestDone, 'kind'> & Mark;

export const troubleTestDone: EntryRules<TroubleTestDone> = {
  mayFollow: () => NOTHING,
  fold: (draft, { test, asked, answer, answered, note }, mark) =>
    void draft.troubleTests.push({ test, asked, answer, answered, ...(note ? { note } : {}), ...mark }),
  stop: () => 'first-start',
  minutes: 'by-itself',
  leavesOpen(state): readonly OpenItem[] {
    const last = state.causesFound.at(-1);
    const since = state.troubleTests.filter(({ at }) => last === undefined || at > last.at).length;
    return since === 0
      ? []
      : [{ is: 'issue', grave: true, words: `Trouble not found yet: ${since} ${since === 1 ? 'test' : 'tests'} done` }];
  },
  words: ({ asked, answered, note }) => `${asked} ${answered}${note ? `. ${note}` : ''}`,
};
