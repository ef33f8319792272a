import type { ConnectionId } from '../../../connection-map/index.js';
import { groundsOf } from '../../counting.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** A ground was looked at before the first start. */
export interface GroundChecked {
  readonly kind: 'ground-checked';
  readonly connection: ConnectionId;
  readonly good: boolean;
  readonly note?: string;
}

export interface GroundCheck extends Mark {
  readonly good: boolean;
  readonly note?: string;
}

export const groundChecked: EntryRules<GroundChecked> = {
  mayFollow(state, { connection: id }) {
    const ground = groundsOf(state).find(({ connection }) => connection.id === id);
    if (!ground) return refuse('sense', 'That is no ground that was opened on this job.');
    return ground.closed ? NOTHING : refuse('order', `Bolt ${ground.connection.name} on again first.`);
  },
  fold: (draft, { connection, good, note }, mark) =>
    void draft.grounds.set(connection, { good, ...(note ? { note } : {}), ...mark }),
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  binds: ({ connection }) => ({ connections: [connection], been: 'looked at' }),
  leavesOpen: (state) =>
    groundsOf(state).flatMap(({ connection, check }) =>
      check && !check.good
        ? [
            {
              is: 'ground',
              grave: true,
              words: `Ground not good: ${connection.name}${check.note ? `. ${check.note}` : ''}`,
            },
          ]
        : [],
    ),
  words: ({ connection, good, note }, { joint }) =>
    `Ground ${good ? 'good' : 'not good'}: ${joint(connection)}${note ? `. ${note}` : ''}`,
};
