import type { ConnectionId } from '../connection-map/index.js';
import { MapError } from '../connection-map/index.js';
import { operationId, type Operation } from '../teardown/index.js';
import { SHOP_WRENCHES } from '../torque/index.js';
import { workOf } from '../work/index.js';
import type { EntryBody, LedgerEntry } from './entry.js';
import { groundsOf } from './counting.js';
import { extend, put, startOf, thaw } from './fold.js';
import { countedHome, mayTellOfFasteners } from './fastener-rules.js';
import { asFound } from './found.js';
import { gateOf } from './gates.js';
import { openItems } from './open-items.js';
import { carrying, hasRun, heightNeeded, holding, isDone, isOpen, isSettled, mayBePassedOver } from './reading.js';
import { NOTHING, refuse, unknown, type Refusal } from './refusal.js';
import type { JobState } from './state.js';

/** Following a ledger costs time for each of these, so a ledger may hold only so many. */
const MOST_FOUND = 100;
const MOST_CORRECTED = 1_000;

/** Reasons `entry` may not follow `state`; none when it may. */
export function canApply(state: JobState, entry: LedgerEntry): readonly Refusal[] {
  if (state.handedOver && entry.kind !== 'corrected' && entry.kind !== 'noted')
    return refuse('closed', 'This job is handed over. Take the handover back first if work goes on.');
  if (entry.kind === 'work-paused' && state.paused.has(entry.by))
    return refuse('twice', `${entry.by} is on a break already.`);
  if (entry.kind === 'work-resumed' && !state.paused.has(entry.by))
    return refuse('twice', `${entry.by} is at work already.`);
  return check(state, entry);
}

function check(state: JobState, entry: EntryBody): readonly Refusal[] {
  const { work } = state;
  switch (entry.kind) {
    case 'operation-done': {
      const operation = work.operations.get(entry.operation);
      return operation ? mayBeDone(state, operation) : unknown('step', entry.operation);
    }
    case 'operation-skipped': {
      const operation = work.operations.get(entry.operation);
      return operation ? maySkip(state, operation, entry.mode) : unknown('step', entry.operation);
    }
    case 'operation-stuck': {
      const operation = work.operations.get(entry.operation);
      if (!operation) return unknown('step', entry.operation);
      if (isSettled(state, operation)) return refuse('twice', `“${operation.title}” is finished already.`);
      return NOTHING;
    }
    case 'height-set':
      return mayMove(state, entry.height);
    case 'fasteners-counted':
      if (!work.connections.has(entry.connection)) return unknown('connection', entry.connection);
      if (entry.direction === 'in' && !state.bags.get(entry.connection)?.out)
        return refuse('sense', 'Nothing was counted out here, so nothing can be counted in against it.');
      return bagTaken(state, entry.connection, entry.bag);
    case 'keeping-chosen':
    case 'work-paused':
    case 'work-resumed':
      return NOTHING;
    case 'set-described':
    case 'count-accepted':
    case 'fasteners-judged':
    case 'pattern-drawn':
    case 'bolt-found':
    case 'bolt-homed':
    case 'bolt-set-aside':
      return mayTellOfFasteners(state, entry);
    case 'ground-checked': {
      const ground = groundsOf(state).find(({ connection }) => connection.id === entry.connection);
      if (!ground) return refuse('sense', 'That is no ground that was opened on this job.');
      return ground.closed ? NOTHING : refuse('order', `Bolt ${ground.connection.name} on again first.`);
    }
    case 'photo-taken':
      return mayBePinned(state, entry.pinnedTo);
    case 'photo-marked':
      return state.photos.has(entry.photo) ? NOTHING : unknown('photo', entry.photo);
    case 'tagged': {
      if (!work.connections.has(entry.connection)) return unknown('connection', entry.connection);
      const other = [...state.tags].find(([connection, tag]) => tag === entry.tag && connection !== entry.connection);
      return other
        ? refuse('twice', `Tag ${entry.tag} is on ${work.connections.get(other[0])?.name ?? other[0]} already.`)
        : NOTHING;
    }
    case 'connection-found':
      return mayBeFound(state, entry);
    case 'left-on-purpose':
      return mayBeLeft(state, entry.connection);
    case 'hold-point-signed':
      return maySign(state, entry);
    case 'torque-read': {
      const connection = work.connections.get(entry.connection);
      if (!connection) return unknown('connection', entry.connection);
      if (!connection.refit.torque) return refuse('sense', `There is no torque figure for ${connection.name}.`);
      if (!SHOP_WRENCHES.some(({ id }) => id === entry.wrench)) return unknown('wrench', entry.wrench);
      if (!isDone(state, operationId.close(entry.connection)))
        return refuse('order', `Close ${connection.name} before its final torque.`);
      return countedHome(state, entry.connection);
    }
    case 'torque-accepted': {
      const last = state.torques.get(entry.connection)?.at(-1);
      if (!last) return refuse('sense', 'There is no reading here to accept.');
      if (last.verdict === 'within')
        return refuse('sense', 'The last reading is within its window; there is nothing to accept.');
      return NOTHING;
    }
    case 'fluid-measured': {
      const circuit = work.plan.map.circuits.find(({ id }) => id === entry.circuit);
      if (!circuit) return unknown('circuit', entry.circuit);
      if (entry.litres > circuit.capacityL * 1.5)
        return refuse(
          'sense',
          `${entry.litres} l is more than the ${circuit.name.toLowerCase()} holds (${circuit.capacityL} l).`,
        );
      return NOTHING;
    }
    case 'noted':
      return entry.operation === undefined || work.operations.has(entry.operation)
        ? NOTHING
        : unknown('step', entry.operation);
    case 'part-needed':
      if (entry.operation !== undefined && !work.operations.has(entry.operation))
        return unknown('step', entry.operation);
      return state.needs.has(entry.need) ? refuse('twice', `“${entry.name}” is on the list already.`) : NOTHING;
    case 'part-arrived': {
      const part = state.needs.get(entry.need);
      if (!part) return unknown('part', entry.need);
      return part.arrived ? refuse('twice', `“${part.name}” has arrived already.`) : NOTHING;
    }
    case 'start-attempted':
      if (!isDone(state, operationId.hold('pre-start')))
        return refuse('gate', 'The pre-start hold point is signed before anybody cranks.');
      if (entry.voltsLowest > entry.voltsBefore)
        return refuse('sense', 'The lowest volts while cranking cannot be above the volts before.');
      return NOTHING;
    case 'issue-opened':
      if (state.issues.has(entry.issue)) return refuse('twice', 'This issue is open already.');
      if (entry.connection !== undefined && !work.connections.has(entry.connection))
        return unknown('connection', entry.connection);
      return NOTHING;
    case 'issue-sorted':
    case 'issue-closed': {
      const issue = state.issues.get(entry.issue);
      if (!issue) return unknown('issue', entry.issue);
      return issue.closed ? refuse('twice', `“${issue.title}” is closed already.`) : NOTHING;
    }
    case 'handed-over': {
      if (!hasRun(state)) return refuse('gate', 'The engine has not run yet.');
      const open = openItems(state).length;
      return open === entry.openItems
        ? NOTHING
        : refuse(
            'gate',
            `There are ${open} open items now, not the ${entry.openItems} that were read. Read them again.`,
          );
    }
    case 'plan-followed':
      return mayBeFollowed(state, entry);
    case 'corrected':
      return mayBeCorrected(state, entry.corrects);
  }
}

/** A plan may leave steps out, such as those that wait for a part, and may not put any before what it waits for. */
function mayBeFollowed(
  state: JobState,
  { order, moveFirst = [], half }: Extract<EntryBody, { kind: 'plan-followed' }>,
): readonly Refusal[] {
  const { work } = state;
  const place = new Map(order.map((id, index) => [id, index]));
  if (place.size < order.length) return refuse('sense', 'The plan has a step twice.');
  for (const id of order) {
    const operation = work.operations.get(id);
    if (!operation) return unknown('step', id);
    if ((operation.phase === 'strip' || operation.phase === 'lift') !== (half === 'out'))
      return refuse('sense', `“${operation.title}” belongs to the other half of the job.`);
  }
  const stray = moveFirst.find((id) => !place.has(id));
  if (stray !== undefined) return refuse('sense', 'The plan moves the machine for a step it does not have.');
  for (const { before, after, reason } of work.precedence) {
    const [first, then] = [place.get(before), place.get(after)];
    if (first !== undefined && then !== undefined && first > then)
      return refuse(
        'order',
        `The plan puts “${work.operations.get(after)?.title ?? after}” before “${work.operations.get(before)?.title ?? before}”. ${reason.words}`,
      );
  }
  return NOTHING;
}

/** What stands in the way of doing `operation` now, apart from how high the machine stands. */
export function waitsFor(state: JobState, operation: Operation): readonly Refusal[] {
  const { work } = state;
  const refusals: Refusal[] = (work.into.get(operation.id) ?? []).flatMap(({ before, reason }) => {
    const earlier = work.operations.get(before);
    return earlier && !isSettled(state, earlier)
      ? [{ because: 'order' as const, words: `First: ${earlier.title}. ${reason.words}` }]
      : [];
  });
  if (operation.kind === 'lift') {
    const held = holding(state);
    if (held.length > 0)
      refusals.push({
        because: 'holding',
        words: `${held.length} still hold it: ${held.map(({ connection }) => connection.name).join(', ')}.`,
      });
  }
  if (operation.needsRunning && !hasRun(state))
    refusals.push({ because: 'order', words: 'The engine has to have run.' });
  return refusals;
}

function mayBeDone(state: JobState, operation: Operation): readonly Refusal[] {
  if (operation.kind === 'hold-point') return refuse('gate', 'A hold point is signed, not ticked off.');
  if (isSettled(state, operation)) return refuse('twice', `“${operation.title}” is finished already.`);
  const refusals = [...waitsFor(state, operation)];
  const height = heightNeeded(state, operation);
  if (height)
    refusals.push({
      because: 'height',
      words:
        height === 'raised'
          ? 'The machine stands on the ground. Raise it onto stands first.'
          : 'The machine is raised. Let it down onto its wheels first.',
    });
  if (operation.kind === 'torque' && operation.connection !== undefined) {
    const last = state.torques.get(operation.connection)?.at(-1);
    if (!last) refusals.push({ because: 'torque', words: 'Read the torque first.' });
    else if (last.verdict !== 'within' && last.accepted === undefined)
      refusals.push({
        because: 'torque',
        words: 'The last reading missed its target. Do it again, or accept it with a reason.',
      });
  }
  return refusals;
}

function maySkip(state: JobState, operation: Operation, mode: 'later' | 'not-here'): readonly Refusal[] {
  if (!mayBePassedOver(operation))
    return refuse('sense', `“${operation.title}” cannot be passed over: others’ safety hangs on it.`);
  if (isSettled(state, operation)) return refuse('twice', `“${operation.title}” is finished already.`);
  if (mode === 'not-here' && operation.phase !== 'strip')
    return refuse('sense', 'What was taken off has to go back. Put it off, or leave it off on purpose with a reason.');
  if (mode === 'not-here' && operation.kind === 'drain')
    return refuse(
      'sense',
      'Empty already? Record nought litres and say it is done: it is filled on the way back all the same.',
    );
  if (
    mode === 'not-here' &&
    operation.connection !== undefined &&
    state.work.connections.get(operation.connection)?.carriesLoad
  )
    return refuse('sense', 'It carries the weight; look again whether it is there.');
  return NOTHING;
}

function mayMove(state: JobState, height: JobState['height']): readonly Refusal[] {
  if (height === state.height)
    return refuse('twice', height === 'raised' ? 'It stands raised already.' : 'It stands on the ground already.');
  const load = carrying(state);
  return load.length > 0
    ? refuse(
        'sense',
        `${load.map(({ name }) => name).join(' and ')}: the machine is not moved while that carries the weight.`,
      )
    : NOTHING;
}

function bagTaken(state: JobState, connection: ConnectionId, bag: number | undefined): readonly Refusal[] {
  if (bag === undefined) return NOTHING;
  const other = [...state.bags].find(([id, { out }]) => id !== connection && out?.bag === bag);
  return other
    ? refuse('twice', `Bag ${bag} holds the fasteners of ${state.work.connections.get(other[0])?.name ?? other[0]}.`)
    : NOTHING;
}

function mayBePinned(
  { work }: JobState,
  { operation, connection }: Extract<EntryBody, { kind: 'photo-taken' }>['pinnedTo'],
): readonly Refusal[] {
  if (operation !== undefined && !work.operations.has(operation)) return unknown('step', operation);
  return connection === undefined || work.connections.has(connection) ? NOTHING : unknown('connection', connection);
}

function mayBeFound(
  state: JobState,
  { connection, alreadyOpen }: Extract<EntryBody, { kind: 'connection-found' }>,
): readonly Refusal[] {
  const { work } = state;
  if (state.found.length >= MOST_FOUND)
    return refuse('sense', `${MOST_FOUND} were found on this job already. Put them on the map of a new one.`);
  if (work.connections.has(connection.id)) return refuse('twice', 'A connection of that name is on the map already.');
  for (const end of connection.between)
    if (!work.plan.map.parts.some(({ id }) => id === end)) return unknown('part', end);
  if (connection.between[0] === connection.between[1])
    return refuse('sense', 'Both ends are at the same part. Say what it ties together.');
  try {
    const opened = workOf(state.plan, [...state.found, asFound(connection)]);
    if (!opened.operations.has(operationId.open(connection.id)))
      return refuse('sense', 'It ties neither the powerpack nor anything in its way. Write it down as a note.');
  } catch (error) {
    if (error instanceof MapError) return refuse('sense', error.message);
    throw error;
  }
  const out = [...work.operations.values()].some(({ id, phase }) => phase === 'lift' && isDone(state, id));
  if (out && !alreadyOpen && allLifted(state))
    return refuse('sense', 'The powerpack is out: whatever tied it is open now. Record it as open.');
  return NOTHING;
}

function allLifted({ work, progress }: JobState): boolean {
  return [...work.operations.values()].every(({ id, phase }) => phase !== 'lift' || progress.get(id)?.is === 'done');
}

function mayBeLeft(state: JobState, id: ConnectionId): readonly Refusal[] {
  const connection = state.work.connections.get(id);
  if (!connection) return unknown('connection', id);
  if (state.leftAsItIs.has(id)) return refuse('twice', `${connection.name} is left on purpose already.`);
  if (connection.carriesLoad) return refuse('sense', 'It carries the weight and cannot be left as it is.');
  if (isOpen(state, id)) {
    if (!allLifted(state)) return refuse('order', 'It is open. Whether it stays off is decided on the way back.');
    if (connection.circuit !== undefined)
      return refuse('sense', 'It is a joint of a fluid circuit; left off, the fluid runs out.');
    return NOTHING;
  }
  return holding(state).some((held) => held.connection.id === id)
    ? NOTHING
    : refuse('sense', `${connection.name} does not hold the powerpack.`);
}

function maySign(
  state: JobState,
  { holdPoint, confirmed }: Extract<EntryBody, { kind: 'hold-point-signed' }>,
): readonly Refusal[] {
  const gate = gateOf(state, holdPoint);
  if (gate.signed) return refuse('twice', `“${gate.holdPoint.name}” is signed already.`);
  const held = holdPoint === 'pre-lift' ? holding(state) : [];
  if (held.length > 0)
    return refuse(
      'holding',
      `${held.length} still hold it: ${held.map(({ connection }) => connection.name).join(', ')}.`,
    );
  const [first] = gate.blockers;
  if (first)
    return refuse(
      'gate',
      `${gate.blockers.length} ${gate.blockers.length === 1 ? 'step is' : 'steps are'} missing; first: ${first.words}.`,
    );
  const missing = gate.holdPoint.confirmations.find(({ id }) => !confirmed.includes(id));
  if (missing) return refuse('gate', `Not confirmed: ${missing.words}.`);
  return NOTHING;
}

/** A correction stands if everything written since would still have been allowed without the entry it takes back. */
function mayBeCorrected(state: JobState, id: string): readonly Refusal[] {
  const wrong = state.entries.find((entry) => entry.id === id);
  if (!wrong) return refuse('unknown', 'The entry to be corrected is not in this ledger.');
  if (state.corrected.size >= MOST_CORRECTED)
    return refuse(
      'sense',
      `More than ${MOST_CORRECTED} entries of this ledger are corrected. Begin the job anew from its map.`,
    );
  if (wrong.kind === 'corrected')
    return refuse('sense', 'A correction is not corrected; record what is right instead.');
  if (state.corrected.has(id)) return refuse('twice', 'That entry is corrected already.');
  const rest = state.entries.filter(
    (entry) => entry.id !== id && entry.kind !== 'corrected' && !state.corrected.has(entry.id),
  );
  const broken = replay(startOf(state.plan), rest).refused;
  return broken
    ? refuse(
        'order',
        `Later work stands on it: ${broken.refusals[0]?.words ?? broken.entry.kind} Take that back first.`,
      )
    : NOTHING;
}

/** How far a ledger can be followed: the state it comes to, and the first entry that may not be written, if any. */
export interface Replay {
  readonly state: JobState;
  readonly refused?: { readonly entry: LedgerEntry; readonly index: number; readonly refusals: readonly Refusal[] };
}

/** Applies `entries` to `state` one by one, stopping at the first that may not be written. */
export function replay(state: JobState, entries: readonly LedgerEntry[]): Replay {
  let reached = thaw(state);
  for (const [index, entry] of entries.entries()) {
    const refusals = canApply(reached, entry);
    if (refusals.length > 0) return { state: reached, refused: { entry, index, refusals } };
    if (entry.kind === 'corrected') reached = thaw(extend(reached, [entry]));
    else put(reached, entry);
  }
  return { state: reached };
}
