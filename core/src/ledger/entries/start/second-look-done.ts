import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** A second look was taken. */
export interface SecondLookDone {
  readonly kind: 'second-look-done';
  readonly look: string;
  readonly note?: string;
}

export const secondLookDone: EntryRules<SecondLookDone> = {
  mayFollow({ secondLooks }, { look: id }) {
    const look = secondLooks.get(id);
    if (!look) return unknown('second look', id);
    return look.done ? refuse('twice', 'That look is taken already.') : NOTHING;
  },
  fold(draft, { look: id, note }, mark) {
    const look = draft.secondLooks.get(id);
    if (look) draft.secondLooks.set(id, { ...look, done: { ...mark, ...(note ? { note } : {}) } });
  },
  afterHandover: true,
  stop: () => 'handover',
  minutes: 'by-itself',
  words: ({ look, note }, { state }) =>
    `Looked once more: ${state.secondLooks.get(look)?.what ?? look}${note ? `. ${note}` : ''}`,
};
