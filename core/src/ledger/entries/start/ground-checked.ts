import type { ConnectionId } from '../../../connection-map/index.js';
import { judgeGround, MOST_DROP_V, MOST_OHMS } from '../../../adjusting/index.js';
import { groundsOf } from '../../counting.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** A ground was looked at before the first start. */
export interface GroundChecked {
  readonly kind: 'ground-checked';
  readonly connection: ConnectionId;
  readonly good: boolean;
  /** What a meter gave: ohms at rest, volts lost under load. */
  readonly ohms?: number;
  readonly dropV?: number;
  readonly note?: string;
}

export interface GroundCheck extends Mark {
  readonly good: boolean;
  readonly ohms?: number;
  readonly dropV?: number;
  readonly note?: string;
}

export const groundChecked: EntryRules<GroundChecked> = {
  mayFollow(state, { connection: id, good, ohms, dropV, note }) {
    const ground = groundsOf(state).find(({ connection }) => connection.id === id);
    if (!ground) return refuse('sense', 'That is no ground that was opened on this job.');
    if (!ground.closed) return refuse('order', `Bolt ${ground.connection.name} on again first.`);
    const measured = { ...(ohms === undefined ? {} : { ohms }), ...(dropV === undefined ? {} : { dropV }) };
    return good && !note && judgeGround(measured) === 'poor'
      ? refuse(
          'sense',
          `It does not carry: no more than ${MOST_OHMS} Ω at rest, or ${MOST_DROP_V} V under load. Make it good, or write why it stays.`,
        )
      : NOTHING;
  },
  fold: (draft, { connection, good, ohms, dropV, note }, mark) =>
    void draft.grounds.set(connection, {
      good,
      ...(ohms === undefined ? {} : { ohms }),
      ...(dropV === undefined ? {} : { dropV }),
      ...(note ? { note } : {}),
      ...mark,
    }),
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  fills: ({ connection }) => [connection],
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
  words: ({ connection, good, ohms, dropV, note }, { joint }) =>
    `Ground ${good ? 'good' : 'not good'}: ${joint(connection)}${ohms === undefined ? '' : `, ${ohms} Ω`}${dropV === undefined ? '' : `, ${dropV} V lost`}${note ? `. ${note}` : ''}`,
};
