import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** A call is taken on by who writes this; who called ends it so themselves. */
export interface HelpAnswered {
  readonly kind: 'help-answered';
  /** The entry that called. */
  readonly call: string;
}

export const helpAnswered: EntryRules<HelpAnswered> = {
  mayFollow({ calls }, { call }) {
    const called = calls.get(call);
    if (!called) return refuse('unknown', 'Nobody called so in this ledger.');
    const { answered, by } = called;
    if (!answered) return NOTHING;
    return refuse('twice', answered.by === by ? `${by} needs it no more.` : `${answered.by} is on it already.`);
  },
  fold(draft, { call }, mark) {
    const called = draft.calls.get(call);
    if (called) draft.calls.set(call, { ...called, answered: mark });
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: ({ call }, { entry }) => `Seen to: ${entry(call) ?? 'a call'}`,
};
