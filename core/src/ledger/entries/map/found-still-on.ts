import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { allLifted, isOpen } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** A joint that was recorded as open, or left on purpose, holds after all: it is opened before anything goes up further. */
export interface FoundStillOn {
  readonly kind: 'found-still-on';
  readonly connection: ConnectionId;
}

export const foundStillOn: EntryRules<FoundStillOn> = {
  mayFollow(state, { connection: id }) {
    const connection = state.work.connections.get(id);
    if (!connection) return unknown('connection', id);
    if (allLifted(state)) return refuse('sense', 'The powerpack is out: whatever tied it is open now.');
    return isOpen(state, id) || state.leftAsItIs.get(id)?.as === 'attached'
      ? NOTHING
      : refuse('sense', `By the record ${connection.name} is still on; its step is there to be done.`);
  },
  /** It is to be opened once more, and what was signed without it is signed again. */
  fold(draft, { connection }) {
    draft.progress.delete(operationId.open(connection));
    draft.leftAsItIs.delete(connection);
    for (const holdPoint of ['pre-lift', 'pre-start'] as const) {
      draft.progress.delete(operationId.hold(holdPoint));
      draft.firstSigned.delete(holdPoint);
    }
  },
  stop: () => 'lift',
  minutes: 'of-what-comes-next',
  binds: ({ connection }) => ({ connections: [connection], been: 'found still on' }),
  words: ({ connection }, { joint }) => `Still on after all: ${joint(connection)}`,
};
