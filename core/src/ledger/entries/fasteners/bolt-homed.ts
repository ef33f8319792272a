import type { ConnectionId } from '../../../connection-map/index.js';
import { setsOf } from '../../counting.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';
import { stillLoose } from './still-loose.js';

/** A loose fastener goes home. */
export interface BoltHomed {
  readonly kind: 'bolt-homed';
  readonly bolt: string;
  readonly connection: ConnectionId;
  readonly set: number;
}

export const boltHomed: EntryRules<BoltHomed> = {
  mayFollow(state, { bolt, connection, set }) {
    const placed = stillLoose(state, bolt);
    if (placed.length > 0) return placed;
    if (!state.work.connections.has(connection)) return unknown('connection', connection);
    return setsOf(state, connection)[set] ? NOTHING : unknown('kind of fastener', String(set));
  },
  fold(draft, { bolt: id, connection, set }, mark) {
    const bolt = draft.loose.get(id);
    if (bolt) draft.loose.set(id, { ...bolt, home: { connection, set, ...mark } });
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: ({ connection }, { joint }) => `A loose one belongs to ${joint(connection)}`,
};
