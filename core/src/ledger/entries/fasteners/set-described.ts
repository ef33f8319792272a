import type { ConnectionId, FastenerSet } from '../../../connection-map/index.js';
import { sentence } from '../../../words/index.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** What really holds a joint, in place of what the map says. */
export interface SetDescribed {
  readonly kind: 'set-described';
  readonly connection: ConnectionId;
  readonly sets: readonly FastenerSet[];
}

export const setDescribed: EntryRules<SetDescribed> = {
  mayFollow: ({ work }, { connection }) =>
    work.connections.has(connection) ? NOTHING : unknown('connection', connection),
  fold: (draft, { connection, sets }) => void draft.sets.set(connection, sets),
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  fills: ({ connection }) => [connection],
  binds: ({ connection }) => ({ connections: [connection], been: 'described' }),
  words: ({ connection, sets }, { joint }) =>
    `${sentence(joint(connection))} is held by ${sets.map(({ count, what }) => `${count} × ${what}`).join(', ')}`,
};
