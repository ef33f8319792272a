import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { jointNow } from '../../joint.js';
import { NOTHING, refuse } from '../../refusal.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** The last reading missed its target and stays as it is, for a reason. */
export interface TorqueAccepted {
  readonly kind: 'torque-accepted';
  readonly connection: ConnectionId;
  readonly reason: string;
}

export const torqueAccepted: EntryRules<TorqueAccepted> = {
  mayFollow(state, { connection }) {
    const { torques, tightened } = state;
    if (tightened.has(connection) && (jointNow(state, connection)?.missed.length ?? 0) > 0) return NOTHING;
    const last = torques.get(connection)?.at(-1);
    if (!last) return refuse('sense', 'There is no reading here to accept.');
    return last.verdict === 'within'
      ? refuse('sense', 'The last reading is within its window; there is nothing to accept.')
      : NOTHING;
  },
  fold(draft, { connection, reason }) {
    const tightening = draft.tightened.get(connection);
    if (tightening)
      draft.tightened.set(connection, { ...tightening, accepted: { reason, touches: tightening.touches.length } });
    const readings = draft.torques.get(connection) ?? [];
    draft.torques.set(
      connection,
      readings.map((reading, index) => (index === readings.length - 1 ? { ...reading, accepted: reason } : reading)),
    );
  },
  stop: (state, { connection }) => stopOfStep(state, operationId.torque(connection)) ?? 'refit',
  minutes: 'of-what-comes-next',
  words: ({ connection, reason }, { joint }) => `Torque of ${joint(connection)} accepted: ${reason}`,
};
