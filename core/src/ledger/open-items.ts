import { operationId } from '../teardown/index.js';
import { groundsOf, heldTo, looseBolts, setCounts } from './counting.js';
import { isDone, isSettled, stillOpen } from './reading.js';
import type { JobState } from './state.js';

/** Something a person taking the machine over has to know. `grave` ones are shown in red. */
export interface OpenItem {
  readonly is:
    | 'left-on-purpose'
    | 'still-open'
    | 'count'
    | 'fastener'
    | 'ground'
    | 'torque'
    | 'step'
    | 'issue'
    | 'part'
    | 'fluid'
    | 'look-at';
  readonly grave: boolean;
  readonly words: string;
}

/** A circuit that took less than this share of what ran out of it is short, or has air in it. */
const FILLED_FROM = 0.9;

/** Everything that is not as it should be, gravest first. Before the refit is over it says what is missing by then. */
export function openItems(state: JobState): readonly OpenItem[] {
  const { work } = state;
  const nameOf = (connection: string) => work.connections.get(connection)?.name ?? connection;
  const items: OpenItem[] = [];
  for (const [connection, { as, reason, by }] of state.leftAsItIs)
    items.push({
      is: 'left-on-purpose',
      grave: true,
      words: `Left ${as === 'off' ? 'off' : 'attached'} on purpose: ${nameOf(connection)}. ${reason} (${by})`,
    });
  for (const { name } of stillOpen(state)) items.push({ is: 'still-open', grave: true, words: `Still open: ${name}` });
  for (const mismatch of countMismatches(state))
    items.push({
      is: 'count',
      grave: true,
      words: `${capital(mismatch.name)}: ${mismatch.out} counted out, ${mismatch.in} counted in`,
    });
  for (const { connection, missing, left, accepted } of unevenSets(state))
    items.push({
      is: 'count',
      grave: accepted === undefined,
      words: `${capital(connection.name)}: ${missing} ${missing === 1 ? 'hole' : 'holes'} without a fastener${left > 0 ? `, ${left} left over` : ''}${accepted ? `, accepted: ${accepted.reason}` : ''}`,
    });
  for (const { measured, where } of looseBolts(state))
    items.push({
      is: 'fastener',
      grave: true,
      words: `Loose and without a home: ${measured.form ?? 'a fastener'}${where ? `, ${where}` : ''}`,
    });
  for (const { connection, check } of groundsOf(state))
    if (check && !check.good)
      items.push({
        is: 'ground',
        grave: true,
        words: `Ground not good: ${connection.name}${check.note ? `. ${check.note}` : ''}`,
      });
  for (const [connection, readings] of state.torques) {
    const last = readings.at(-1);
    if (last && last.verdict !== 'within')
      items.push({
        is: 'torque',
        grave: last.accepted === undefined,
        words: `Torque of ${nameOf(connection)}: ${last.read.value} ${last.read.unit} against ${last.targetNm} N·m${last.accepted === undefined ? ', not accepted' : `, accepted: ${last.accepted}`}`,
      });
  }
  for (const { title, sort, closed } of state.issues.values())
    if (!closed) items.push({ is: 'issue', grave: sort === 'real', words: `Open: ${title}` });
  for (const { id, name } of work.plan.map.circuits) {
    const litres = state.litres.get(id);
    if (litres?.out !== undefined && litres.in !== undefined && litres.in < FILLED_FROM * litres.out)
      items.push({ is: 'fluid', grave: true, words: `${name}: ${litres.out} l ran out, only ${litres.in} l went in` });
    if (litres?.out !== undefined && isDone(state, operationId.fill(id)) && litres.in === undefined)
      items.push({
        is: 'fluid',
        grave: false,
        words: `${name}: ${litres.out} l ran out, what went in was not measured`,
      });
  }
  for (const { question, taken } of state.plan.lookAt ?? [])
    items.push({ is: 'look-at', grave: false, words: `Nobody has looked yet: ${question} Taken for now: ${taken}` });
  for (const { name, quantity, arrived } of state.needs.values())
    if (!arrived) items.push({ is: 'part', grave: false, words: `Not arrived: ${quantity} × ${name}` });
  for (const operation of work.operations.values())
    if (!isSettled(state, operation))
      items.push({ is: 'step', grave: operation.phase !== 'handover', words: `Not done: ${operation.title}` });
  return items.sort((one, other) => Number(other.grave) - Number(one.grave));
}

/** Sets held to the newer rules that were closed and are not full; the older rule has its own word for those it tells. */
function unevenSets(state: JobState) {
  if (!heldTo(state, 2)) return [];
  const told = new Set(countMismatches(state).map(({ connection }) => connection));
  return setCounts(state).filter(
    ({ closed, missing, connection }) => closed && missing > 0 && !told.has(connection.id),
  );
}

/** Fastener sets whose number in is not their number out, for connections that are closed again. */
export function countMismatches(
  state: JobState,
): readonly { readonly connection: string; readonly name: string; readonly out: number; readonly in: number }[] {
  return [...state.bags].flatMap(([connection, bag]) => {
    if (!bag.out || !isDone(state, operationId.close(connection))) return [];
    const counted = bag.in?.count ?? 0;
    return counted === bag.out.count
      ? []
      : [
          {
            connection,
            name: state.work.connections.get(connection)?.name ?? connection,
            out: bag.out.count,
            in: counted,
          },
        ];
  });
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
