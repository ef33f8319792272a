import type { ConnectionId } from '../connection-map/index.js';
import { heldTo, setCountOf, setsOf, unevenWords } from './counting.js';
import type { EntryBody } from './entry.js';
import { NOTHING, refuse, unknown, type Refusal } from './refusal.js';
import type { JobState } from './state.js';

type OfFasteners = Extract<
  EntryBody,
  {
    kind:
      | 'set-described'
      | 'count-accepted'
      | 'fasteners-judged'
      | 'pattern-drawn'
      | 'bolt-found'
      | 'bolt-homed'
      | 'bolt-set-aside';
  }
>;

/** Why something may not be told of the fasteners of a job now. */
export function mayTellOfFasteners(state: JobState, entry: OfFasteners): readonly Refusal[] {
  const { work } = state;
  switch (entry.kind) {
    case 'set-described':
      return work.connections.has(entry.connection) ? NOTHING : unknown('connection', entry.connection);
    case 'count-accepted':
      return mayAcceptCount(state, entry.connection);
    case 'fasteners-judged': {
      if (!work.connections.has(entry.connection)) return unknown('connection', entry.connection);
      const set = setsOf(state, entry.connection)[entry.set];
      if (!set) return unknown('kind of fastener', String(entry.set));
      return entry.count > set.count
        ? refuse('sense', `There are only ${set.count} × ${set.what} here, not ${entry.count}.`)
        : NOTHING;
    }
    case 'pattern-drawn':
      if (!work.connections.has(entry.connection)) return unknown('connection', entry.connection);
      return entry.pattern.holes.some(({ set }) => setsOf(state, entry.connection)[set] === undefined)
        ? refuse('sense', 'A hole of the card asks for a fastener this joint does not have.')
        : NOTHING;
    case 'bolt-found':
      return state.loose.has(entry.bolt) ? refuse('twice', 'This one is written down already.') : NOTHING;
    case 'bolt-homed':
    case 'bolt-set-aside':
      return mayFindItsPlace(state, entry);
  }
}

/** From the second edition of the rules on, a set that does not come out even is not torqued. */
export function countedHome(state: JobState, connection: ConnectionId): readonly Refusal[] {
  const uneven = heldTo(state, 2) ? unevenWords(setCountOf(state, connection)) : undefined;
  return uneven === undefined ? NOTHING : refuse('count', uneven);
}

function mayAcceptCount(state: JobState, id: ConnectionId): readonly Refusal[] {
  const connection = state.work.connections.get(id);
  if (!connection) return unknown('connection', id);
  const count = setCountOf(state, id);
  if (count?.accepted) return refuse('twice', 'That is accepted already.');
  if (count?.in === undefined) return refuse('sense', 'Nothing was counted in here yet.');
  return unevenWords(count) === undefined
    ? refuse('sense', 'The set comes out even; there is nothing to accept.')
    : NOTHING;
}

function mayFindItsPlace(
  state: JobState,
  entry: Extract<EntryBody, { kind: 'bolt-homed' | 'bolt-set-aside' }>,
): readonly Refusal[] {
  const bolt = state.loose.get(entry.bolt);
  if (!bolt) return unknown('loose fastener', entry.bolt);
  if (bolt.home) {
    const name = state.work.connections.get(bolt.home.connection)?.name ?? bolt.home.connection;
    return refuse('twice', `That one has its home at ${name} already.`);
  }
  if (bolt.aside) return refuse('twice', `That one is set aside already: ${bolt.aside.reason}`);
  if (entry.kind === 'bolt-set-aside') return NOTHING;
  if (!state.work.connections.has(entry.connection)) return unknown('connection', entry.connection);
  return setsOf(state, entry.connection)[entry.set] ? NOTHING : unknown('kind of fastener', String(entry.set));
}
