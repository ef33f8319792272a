import type { Operation } from '../teardown/index.js';
import { countingAt, fluidAt } from './at-step.js';
import { partsAwaitedAt } from './parts-awaited.js';
import { heightNeeded, isSettled } from './reading.js';
import type { JobState } from './state.js';

/**
 * The plugs of one numbered row (injectors 1 to 4, one coil after the other) that are still to do after `operation`,
 * in their order, as far as one key may stand for all of them: nothing but those before them in the row holds them, and none
 * asks for anything that the first does not. Empty where `operation` is at no such row, or at its end.
 */
export function rowAhead(state: JobState, operation: Operation): readonly Operation[] {
  if (!isPlain(state, operation)) return [];
  const row: Operation[] = [operation];
  for (let number = numberOf(operation) + 1; ; number += 1) {
    const next = state.work.operations.get(`${rowOf(operation)}${number}`);
    if (!next || !isPlain(state, next) || !isToldBy(next, operation)) break;
    const taken = new Set(row.map(({ id }) => id));
    const waits = (state.work.into.get(next.id) ?? []).map(({ before }) => state.work.operations.get(before));
    if (!waits.every((one) => one === undefined || taken.has(one.id) || isSettled(state, one))) break;
    row.push(next);
  }
  return row.slice(1);
}

/** What is numbered, without its number. */
const rowOf = ({ id }: Operation) => /^(.*-)\d+$/.exec(id)?.[1];

const numberOf = ({ id }: Operation) => Number(/\d+$/.exec(id)?.[0]);

/**
 * Whether `operation` is a plug that is still to do, with nothing written at it, and nothing to count, to catch, to photograph
 * or to wait for.
 */
function isPlain(state: JobState, operation: Operation): boolean {
  const { connection = '', photo, hands } = operation;
  return (
    rowOf(operation) !== undefined &&
    state.work.connections.get(connection)?.kind === 'plug' &&
    hands === 1 &&
    !photo &&
    !state.progress.has(operation.id) &&
    !state.notes.some((note) => note.operation === operation.id) &&
    heightNeeded(state, operation) === undefined &&
    countingAt(state, operation) === undefined &&
    fluidAt(state, operation) === undefined &&
    partsAwaitedAt(state, operation).length === 0
  );
}

/** Whether all there is to read at `next` stands at `first` as well: nobody signs for a caution or a tip that was not shown. */
const isToldBy = (next: Operation, first: Operation) =>
  next.station === first.station &&
  next.cautions.every((caution) => first.cautions.includes(caution)) &&
  next.tools.every((tool) => first.tools.includes(tool)) &&
  (next.tip === undefined || next.tip === first.tip);
