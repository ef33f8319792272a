import type { ConnectionId } from '../../../connection-map/index.js';
import type { BoltPattern } from '../../../fasteners/index.js';
import { setsOf } from '../../counting.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Where the holes of a joint are. */
export interface PatternDrawn {
  readonly kind: 'pattern-drawn';
  readonly connection: ConnectionId;
  readonly pattern: BoltPattern;
}

export const patternDrawn: EntryRules<PatternDrawn> = {
  mayFollow(state, { connection, pattern }) {
    if (!state.work.connections.has(connection)) return unknown('connection', connection);
    return pattern.holes.some(({ set }) => setsOf(state, connection)[set] === undefined)
      ? refuse('sense', 'A hole of the card asks for a fastener this joint does not have.')
      : NOTHING;
  },
  fold: (draft, { connection, pattern }) => void draft.patterns.set(connection, pattern),
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  fills: ({ connection }) => [connection],
  binds: ({ connection }) => ({ connections: [connection], been: 'drawn' }),
  words: ({ connection }, { joint }) => `Bolt card drawn: ${joint(connection)}`,
};
