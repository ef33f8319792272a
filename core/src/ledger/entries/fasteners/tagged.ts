import type { ConnectionId } from '../../../connection-map/index.js';
import { nextTag } from '../../numbers.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { JobState } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** The same number on both halves of a plug or both ends of a hose. */
export interface Tagged {
  readonly kind: 'tagged';
  readonly connection: ConnectionId;
  readonly tag: number;
}

export const tagged: EntryRules<Tagged> = {
  mayFollow(state, { connection, tag }) {
    if (!state.work.connections.has(connection)) return unknown('connection', connection);
    const other = tagIsOn(state, connection, tag);
    return other === undefined
      ? NOTHING
      : refuse('twice', `Tag ${tag} is on ${state.work.connections.get(other)?.name ?? other} already.`);
  },
  fold: (draft, { connection, tag }) => void draft.tags.set(connection, tag),
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  fills: ({ connection }) => [connection],
  binds: ({ connection }) => ({ connections: [connection], been: 'tagged' }),
  renumbered: (state, entry) =>
    tagIsOn(state, entry.connection, entry.tag) === undefined ? entry : { ...entry, tag: nextTag(state) },
  words: ({ connection, tag }, { joint }) => `Tag ${tag} on ${joint(connection)}`,
};

/** Another joint that has tag `number` already. */
function tagIsOn({ tags }: JobState, connection: ConnectionId, number: number): ConnectionId | undefined {
  return [...tags].find(([id, tag]) => id !== connection && tag === number)?.[0];
}
