import type { ConnectionId } from '../../../connection-map/index.js';
import { setCountOf, unevenWords } from '../../counting.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** The set does not come out even and stays so, for a reason. */
export interface CountAccepted {
  readonly kind: 'count-accepted';
  readonly connection: ConnectionId;
  readonly reason: string;
}

/** Why a count that does not come out even stays. */
export interface Accepted extends Mark {
  readonly reason: string;
}

export const countAccepted: EntryRules<CountAccepted> = {
  mayFollow(state, { connection }) {
    if (!state.work.connections.has(connection)) return unknown('connection', connection);
    const count = setCountOf(state, connection);
    if (count?.accepted) return refuse('twice', 'That is accepted already.');
    if (count?.in === undefined) return refuse('sense', 'Nothing was counted in here yet.');
    return unevenWords(count) === undefined
      ? refuse('sense', 'The set comes out even; there is nothing to accept.')
      : NOTHING;
  },
  fold: (draft, { connection, reason }, mark) => void draft.countsAccepted.set(connection, { reason, ...mark }),
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: ({ connection, reason }, { joint }) => `Count of ${joint(connection)} accepted: ${reason}`,
};
