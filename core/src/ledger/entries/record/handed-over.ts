import { hasRun } from '../../reading.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** The machine goes back to whoever it belongs to. */
export interface HandedOver {
  readonly kind: 'handed-over';
  /** How many open items the person saw when signing; checked against what is open then. */
  readonly openItems: number;
  readonly note?: string;
}

export const handedOver: EntryRules<HandedOver> = {
  mayFollow(state, { openItems: read }, whole) {
    if (!hasRun(state)) return refuse('gate', 'The engine has not run yet.');
    const open = whole.openItems(state).length;
    return open === read
      ? NOTHING
      : refuse('gate', `There are ${open} open items now, not the ${read} that were read. Read them again.`);
  },
  fold: (draft, { note }, mark) => void (draft.handedOver = { ...mark, ...(note ? { note } : {}) }),
  stop: () => 'handover',
  minutes: 'of-what-comes-next',
  words: ({ note }) => `Handed over${note ? `. ${note}` : ''}`,
};
