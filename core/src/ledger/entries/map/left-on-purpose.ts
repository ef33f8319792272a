import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { allLifted, holding, isDone, isOpen } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Left attached at the lift, or left off at the start, and why. */
export interface LeftOnPurpose {
  readonly kind: 'left-on-purpose';
  readonly connection: ConnectionId;
  readonly reason: string;
}

export interface LeftAsItIs extends Mark {
  /** Still attached when the powerpack was lifted, or still off when it was started. */
  readonly as: 'attached' | 'off';
  readonly reason: string;
}

export const leftOnPurpose: EntryRules<LeftOnPurpose> = {
  mayFollow(state, { connection: id }) {
    const connection = state.work.connections.get(id);
    if (!connection) return unknown('connection', id);
    if (state.leftAsItIs.has(id)) return refuse('twice', `${connection.name} is left on purpose already.`);
    if (connection.carriesLoad) return refuse('sense', 'It carries the weight and cannot be left as it is.');
    if (isOpen(state, id)) {
      if (!allLifted(state)) return refuse('order', 'It is open. Whether it stays off is decided on the way back.');
      return connection.circuit === undefined
        ? NOTHING
        : refuse('sense', 'It is a joint of a fluid circuit; left off, the fluid runs out.');
    }
    return holding(state).some((held) => held.connection.id === id)
      ? NOTHING
      : refuse('sense', `${connection.name} does not hold the powerpack.`);
  },
  fold(draft, { connection, reason }, mark) {
    const as = isDone(draft, operationId.open(connection)) ? 'off' : 'attached';
    draft.leftAsItIs.set(connection, { as, reason, ...mark });
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  binds: ({ connection }) => ({ connections: [connection], been: 'left as it is' }),
  leavesOpen: ({ leftAsItIs, work }) =>
    [...leftAsItIs].map(([connection, { as, reason, by }]) => ({
      is: 'left-on-purpose',
      grave: true,
      words: `Left ${as === 'off' ? 'off' : 'attached'} on purpose: ${work.connections.get(connection)?.name ?? connection}. ${reason} (${by})`,
    })),
  words: ({ connection, reason }, { joint }) => `Left as it is: ${joint(connection)}. ${reason}`,
};
