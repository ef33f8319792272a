import { LOOK_WORDS, type Look } from '../../../adjusting/index.js';
import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import type { OpenItem } from '../../open-item.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** A joint was looked at, listened to or pulled at as it went together. */
export interface JointLookedAt {
  readonly kind: 'joint-looked-at';
  readonly connection: ConnectionId;
  readonly looks: readonly Look[];
  readonly good: boolean;
  readonly note?: string;
}

export interface LookTaken extends Mark {
  readonly good: boolean;
  readonly note?: string;
}

export const jointLookedAt: EntryRules<JointLookedAt> = {
  // What is asked of a joint changes with what holds it: a look that was taken stands all the same.
  mayFollow({ work }, { connection: id, good, note }) {
    const connection = work.connections.get(id);
    if (!connection) return unknown('connection', id);
    if (!work.operations.has(operationId.close(id)))
      return refuse('sense', `${connection.name} is not put together on this job.`);
    return good || note ? NOTHING : refuse('sense', 'Write what is wrong with it.');
  },
  fold(draft, { connection, looks, good, note }, mark) {
    const taken = new Map(draft.looks.get(connection));
    for (const look of looks) taken.set(look, { good, ...(note ? { note } : {}), ...mark });
    draft.looks.set(connection, taken);
  },
  stop: (state, { connection }) => stopOfStep(state, operationId.close(connection)) ?? 'refit',
  minutes: 'of-what-comes-next',
  fills: ({ connection, looks }) => looks.map((look) => `${connection} ${look}`),
  binds: ({ connection }) => ({ connections: [connection], been: 'looked at' }),
  leavesOpen: (state) =>
    [...state.looks].flatMap(([id, taken]) =>
      [...taken].flatMap(([look, { good, note }]): readonly OpenItem[] =>
        good || state.leftAsItIs.has(id)
          ? []
          : [
              {
                is: 'look-at',
                grave: true,
                words: `Not right: ${state.work.connections.get(id)?.name ?? id}. ${LOOK_WORDS[look].asked}: no${note ? `, ${note}` : ''}`,
              },
            ],
      ),
    ),
  words: ({ connection, looks, good, note }, { joint }) =>
    `${joint(connection)}: ${looks.map((look) => (good ? LOOK_WORDS[look].good : `${LOOK_WORDS[look].asked}: no`)).join(', ')}${
      note ? `. ${note}` : ''
    }`,
};
