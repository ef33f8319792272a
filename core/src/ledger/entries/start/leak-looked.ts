import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { sentence } from '../../../words/index.js';
import type { OpenItem } from '../../open-item.js';
import { hasRun } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** How a joint is that holds something in: dry, it weeps, or it drips. */
export const LEAKS = ['dry', 'weeps', 'drips'] as const;
export type Leak = (typeof LEAKS)[number];

export const LEAK_WORDS: Readonly<Record<Leak, string>> = { dry: 'dry', weeps: 'weeps', drips: 'drips' };

/** A joint was looked at for leaks, the engine having run. */
export interface LeakLooked {
  readonly kind: 'leak-looked';
  readonly connection: ConnectionId;
  readonly is: Leak;
  readonly note?: string;
}

export interface LeakSeen extends Mark {
  readonly is: Leak;
  readonly note?: string;
}

export const leakLooked: EntryRules<LeakLooked> = {
  mayFollow(state, { connection: id }) {
    const connection = state.work.connections.get(id);
    if (!connection) return unknown('connection', id);
    if (!state.work.operations.has(operationId.close(id)))
      return refuse('sense', `Nobody opened ${connection.name} on this job.`);
    return hasRun(state) ? NOTHING : refuse('gate', 'Leaks are looked for once it has run.');
  },
  fold: (draft, { connection, is, note }, mark) =>
    void draft.leaks.set(connection, { is, ...(note ? { note } : {}), ...mark }),
  afterHandover: true,
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  fills: ({ connection }) => [connection],
  binds: ({ connection }) => ({ connections: [connection], been: 'looked at for leaks' }),
  leavesOpen: (state): readonly OpenItem[] =>
    [...state.leaks].flatMap(([id, { is }]) => {
      const connection = state.work.connections.get(id);
      return is === 'dry' || !connection
        ? []
        : [{ is: 'issue', grave: is === 'drips', words: `${sentence(connection.name)} ${LEAK_WORDS[is]}` }];
    }),
  words: ({ connection, is, note }, { joint }) =>
    `${sentence(joint(connection))} ${LEAK_WORDS[is]}${note ? `. ${note}` : ''}`,
};
