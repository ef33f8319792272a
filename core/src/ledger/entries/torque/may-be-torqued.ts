import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import type { WrenchRange } from '../../../torque/index.js';
import { heldTo, setCountOf, unevenWords } from '../../counting.js';
import { isDone } from '../../reading.js';
import { NOTHING, refuse, type Refusal } from '../../refusal.js';
import type { JobState } from '../../state.js';

/**
 * Why `connection` is not torqued yet: it is open, or, from the second edition of the rules on, its set does not come out
 * even.
 */
export function mayBeTorqued(state: JobState, connection: ConnectionId): readonly Refusal[] {
  const name = state.work.connections.get(connection)?.name ?? connection;
  if (!isDone(state, operationId.close(connection))) return refuse('order', `Close ${name} before its final torque.`);
  const uneven = heldTo(state, 2) ? unevenWords(setCountOf(state, connection)) : undefined;
  return uneven === undefined ? NOTHING : refuse('count', uneven);
}

/** Why there is no wrench from the least to the most of `range`. */
export function noSuchWrench({ lowestNm, highestNm }: WrenchRange): readonly Refusal[] {
  return lowestNm >= highestNm
    ? refuse('sense', `A wrench from ${lowestNm} to ${highestNm} N·m does not exist.`)
    : NOTHING;
}
