import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Somebody read the hand-over of the shift before, and signs for it. */
export interface ShiftRead {
  readonly kind: 'shift-read';
  /** The entry that handed it over. */
  readonly shift: string;
}

export const shiftRead: EntryRules<ShiftRead> = {
  mayFollow({ shift }, { shift: read, by }) {
    if (shift?.entry !== read) return refuse('order', 'Another hand-over stands since: read that one.');
    if (shift.by === by) return refuse('gate', `${by} wrote it: whoever takes over reads it.`);
    return shift.readBy.some((mark) => mark.by === by) ? refuse('twice', `${by} has read it already.`) : NOTHING;
  },
  fold(draft, _entry, mark) {
    if (draft.shift) draft.shift = { ...draft.shift, readBy: [...draft.shift.readBy, mark] };
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: ({ shift }, { entry }) => `Read and taken over: ${entry(shift) ?? 'the shift'}`,
};
