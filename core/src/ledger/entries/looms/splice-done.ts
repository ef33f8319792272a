import { refuse, NOTHING } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** A line of the splice list is made. */
export interface SpliceDone {
  readonly kind: 'splice-done';
  readonly splice: string;
}

export const spliceDone: EntryRules<SpliceDone> = {
  mayFollow: ({ splices, pins }, { splice }) => {
    if (pins.size < 2) return refuse('sense', 'There is no splice list yet: read the pin tables of both looms first.');
    const before = splices.get(splice);
    return before ? refuse('twice', `That one is made already, by ${before.by}.`) : NOTHING;
  },
  fold: (draft, { splice }, mark) => void draft.splices.set(splice, mark),
  stop: () => 'bench',
  minutes: 'by-itself',
  words: ({ splice }) => `Spliced: ${splice.replace('-', ' to ')}`,
};
