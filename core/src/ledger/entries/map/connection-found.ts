import {
  MapError,
  type ConnectionId,
  type ConnectionKind,
  type PartId,
  type Station,
  type StepHeight,
} from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { asFound } from '../../found.js';
import { allLifted, isDone } from '../../reading.js';
import { rework, workNow } from '../../at-the-bench.js';
import { NOTHING, refuse, unknown, type Refusal } from '../../refusal.js';
import type { JobState } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** A connection the map did not have, as described by the person who found it. */
export interface FoundConnection {
  readonly id: ConnectionId;
  readonly name: string;
  readonly kind: ConnectionKind;
  readonly between: readonly [PartId, PartId];
  readonly station: Station;
  readonly height: StepHeight;
}

/** Something ties the powerpack down that the map did not have. */
export interface ConnectionFound {
  readonly kind: 'connection-found';
  readonly connection: FoundConnection;
  readonly alreadyOpen: boolean;
}

/** Following a ledger costs time for each of these, so a ledger may hold only so many. */
const MOST_FOUND = 100;

export const connectionFound: EntryRules<ConnectionFound> = {
  mayFollow(state, { connection, alreadyOpen }) {
    const { work } = state;
    if (state.found.length >= MOST_FOUND)
      return refuse('sense', `${MOST_FOUND} were found on this job already. Put them on the map of a new one.`);
    if (work.connections.has(connection.id)) return refuse('twice', 'A connection of that name is on the map already.');
    for (const end of connection.between)
      if (!work.plan.map.parts.some(({ id }) => id === end)) return unknown('part', end);
    if (connection.between[0] === connection.between[1])
      return refuse('sense', 'Both ends are at the same part. Say what it ties together.');
    const unworkable = tiesNothing(state, connection);
    if (unworkable.length > 0) return unworkable;
    const lifting = [...work.operations.values()].some(({ id, phase }) => phase === 'lift' && isDone(state, id));
    return lifting && !alreadyOpen && allLifted(state)
      ? refuse('sense', 'The powerpack is out: whatever tied it is open now. Record it as open.')
      : NOTHING;
  },
  /** A found connection joins the map; what was signed before it was known is signed again. */
  fold(draft, { connection, alreadyOpen }, mark) {
    draft.found.push(asFound(connection));
    rework(draft);
    if (alreadyOpen) draft.progress.set(operationId.open(connection.id), { is: 'done', ...mark });
    for (const holdPoint of allLifted(draft) ? (['pre-start'] as const) : (['pre-lift', 'pre-start'] as const)) {
      draft.progress.delete(operationId.hold(holdPoint));
      draft.firstSigned.delete(holdPoint);
    }
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: ({ connection }) => `Found one more: ${connection.name}`,
};

function tiesNothing(state: JobState, connection: FoundConnection): readonly Refusal[] {
  try {
    const work = workNow({ ...state, found: [...state.found, asFound(connection)] });
    return work.operations.has(operationId.open(connection.id))
      ? NOTHING
      : refuse('sense', 'It ties neither the powerpack nor anything in its way. Write it down as a note.');
  } catch (error) {
    if (error instanceof MapError) return refuse('sense', error.message);
    throw error;
  }
}
