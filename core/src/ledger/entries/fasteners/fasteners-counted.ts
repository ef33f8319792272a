import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { sentence } from '../../../words/index.js';
import { heldTo, setCounts } from '../../counting.js';
import { nextBag } from '../../numbers.js';
import type { OpenItem } from '../../open-item.js';
import { isDone } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { JobState, Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';
import type { Keeping } from './keeping-chosen.js';

/** Fasteners of a joint were counted, out or back in. */
export interface FastenersCounted {
  readonly kind: 'fasteners-counted';
  readonly connection: ConnectionId;
  readonly direction: 'out' | 'in';
  readonly count: number;
  readonly bag?: number;
  /** Where they are kept; absent in older ledgers: in the bag if there is one, else in their holes. */
  readonly kept?: Keeping;
  readonly note?: string;
}

export interface FastenerCount extends Mark {
  readonly count: number;
  readonly bag?: number;
  readonly kept?: Keeping;
  readonly note?: string;
}
export interface Bag {
  readonly out?: FastenerCount;
  readonly in?: FastenerCount;
}

export const fastenersCounted: EntryRules<FastenersCounted> = {
  mayFollow(state, { connection, direction, bag }) {
    if (!state.work.connections.has(connection)) return unknown('connection', connection);
    if (direction === 'in' && !state.bags.get(connection)?.out)
      return refuse('sense', 'Nothing was counted out here, so nothing can be counted in against it.');
    const other = bagHolds(state, connection, bag);
    return other === undefined
      ? NOTHING
      : refuse('twice', `Bag ${bag} holds the fasteners of ${state.work.connections.get(other)?.name ?? other}.`);
  },
  fold(draft, { connection, direction, count, bag, kept, note }, mark) {
    draft.bags.set(connection, {
      ...draft.bags.get(connection),
      [direction]: {
        count,
        ...(bag === undefined ? {} : { bag }),
        ...(kept ? { kept } : {}),
        ...(note ? { note } : {}),
        ...mark,
      },
    });
    // What was accepted was the count as it stood.
    draft.countsAccepted.delete(connection);
  },
  stop: (state, { connection, direction }) =>
    stopOfStep(state, direction === 'out' ? operationId.open(connection) : operationId.close(connection)) ??
    (direction === 'out' ? 'strip' : 'refit'),
  minutes: 'of-what-comes-next',
  fills: ({ connection, direction }) => [`${connection} ${direction}`],
  binds: ({ connection }) => ({ connections: [connection], been: 'counted' }),
  leavesOpen: (state) => [...mismatches(state), ...uneven(state)],
  renumbered: (state, entry) =>
    entry.direction === 'out' && bagHolds(state, entry.connection, entry.bag) !== undefined
      ? { ...entry, bag: nextBag(state) }
      : entry,
  words: ({ connection, direction, count, bag, note }, { joint }) =>
    `${count} ${direction === 'out' ? 'out of' : 'into'} ${joint(connection)}${bag === undefined ? '' : `, bag ${bag}`}${note ? `. ${note}` : ''}`,
};

/** Another joint whose fasteners are in bag `number` already. */
function bagHolds({ bags }: JobState, connection: ConnectionId, number: number | undefined): ConnectionId | undefined {
  if (number === undefined) return undefined;
  return [...bags].find(([id, { out }]) => id !== connection && out?.bag === number)?.[0];
}

function mismatches(state: JobState): readonly OpenItem[] {
  return countMismatches(state).map(({ name, out, in: counted }) => ({
    is: 'count',
    grave: true,
    words: `${sentence(name)}: ${out} counted out, ${counted} counted in`,
  }));
}

/** Sets held to the newer rules that were closed and are not full; the older rule has its own word for those it tells. */
function uneven(state: JobState): readonly OpenItem[] {
  if (!heldTo(state, 2)) return [];
  const told = new Set(countMismatches(state).map(({ connection }) => connection));
  return setCounts(state)
    .filter(({ closed, missing, connection }) => closed && missing > 0 && !told.has(connection.id))
    .map(({ connection, missing, left, accepted }) => ({
      is: 'count',
      grave: accepted === undefined,
      words: `${sentence(connection.name)}: ${missing} ${missing === 1 ? 'hole' : 'holes'} without a fastener${left > 0 ? `, ${left} left over` : ''}${accepted ? `, accepted: ${accepted.reason}` : ''}`,
    }));
}

/** Fastener sets whose number in is not their number out, for connections that are closed again. */
export function countMismatches(
  state: JobState,
): readonly { readonly connection: string; readonly name: string; readonly out: number; readonly in: number }[] {
  return [...state.bags].flatMap(([connection, bag]) => {
    if (!bag.out || !isDone(state, operationId.close(connection))) return [];
    const counted = bag.in?.count ?? 0;
    if (counted === bag.out.count) return [];
    const name = state.work.connections.get(connection)?.name ?? connection;
    return [{ connection, name, out: bag.out.count, in: counted }];
  });
}
