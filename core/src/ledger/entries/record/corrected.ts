import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Takes back an earlier entry, which stays in the ledger and counts no more. */
export interface Corrected {
  readonly kind: 'corrected';
  readonly corrects: string;
  readonly reason: string;
}

/** Following a ledger costs time for each of these, so a ledger may hold only so many. */
const MOST_CORRECTED = 1_000;

export const corrected: EntryRules<Corrected> = {
  /** A correction stands if everything written since would still have been allowed without the entry it takes back. */
  mayFollow(state, { corrects }, whole) {
    const wrong = state.entries.find(({ id }) => id === corrects);
    if (!wrong) return refuse('unknown', 'The entry to be corrected is not in this ledger.');
    if (state.corrected.size >= MOST_CORRECTED)
      return refuse(
        'sense',
        `More than ${MOST_CORRECTED} entries of this ledger are corrected. Begin the job anew from its map.`,
      );
    if (wrong.kind === 'corrected')
      return refuse('sense', 'A correction is not corrected; record what is right instead.');
    if (state.corrected.has(corrects)) return refuse('twice', 'That entry is corrected already.');
    const broken = whole.brokenWithout(state, corrects);
    return broken === undefined ? NOTHING : refuse('order', `Later work stands on it: ${broken} Take that back first.`);
  },
  /** Nothing of its own: the fold leaves out what it takes back. */
  fold: () => undefined,
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  afterHandover: true,
  words: ({ corrects, reason }, { entry }) => `Taken back: ${entry(corrects) ?? 'an entry'}. ${reason}`,
};
