import { operationId, type OperationId } from '../teardown/index.js';
import type { LedgerEntry } from './entry.js';
import { STOPS, type Stop } from './reading.js';
import type { JobState } from './state.js';

/** A gap longer than this between two entries of one person is a break, not work. */
export const LONGEST_STRETCH_MIN = 90;

/**
 * Minutes worked at each stop. Each entry ends a stretch that began with the same person's entry before it; a gap over
 * {@link LONGEST_STRETCH_MIN} is a break and counts only the step's own likely minutes. Corrected entries still took time.
 */
export function minutesByStop(state: JobState): ReadonlyMap<Stop, number> {
  const minutes = new Map<Stop, number>(STOPS.map((stop) => [stop, 0]));
  for (const { entry, workedMin } of stretches(state)) {
    const spent = workedMin ?? likelyMinutes(state, entry);
    const stop = stopOfEntry(state, entry);
    minutes.set(stop, (minutes.get(stop) ?? 0) + spent);
  }
  return minutes;
}

/**
 * Minutes somebody really was at each step that is done, tries at it that did not come off among them. Steps that began
 * or ended in a gap too long to be work are not in it: nobody knows.
 */
export function minutesByOperation(state: JobState): ReadonlyMap<OperationId, number> {
  const minutes = new Map<OperationId, number>();
  const pending = new Map<string, number | undefined>();
  const unknown = new Set<OperationId>();
  for (const { entry, workedMin } of stretches(state)) {
    const { by } = entry;
    const aboutStep = entry.kind === 'operation-done' || entry.kind === 'operation-stuck';
    // Whatever somebody writes first of all, but for a step, is where their work begins.
    const begins = !pending.has(by) && !aboutStep;
    const before = pending.has(by) ? pending.get(by) : 0;
    const spent = begins ? 0 : workedMin === undefined || before === undefined ? undefined : before + workedMin;
    pending.set(by, spent);
    if (entry.kind === 'height-set' || entry.kind === 'hold-point-signed') pending.set(by, 0);
    if (!aboutStep) continue;
    pending.set(by, 0);
    if (state.corrected.has(entry.id)) continue;
    if (spent === undefined) unknown.add(entry.operation);
    else minutes.set(entry.operation, (minutes.get(entry.operation) ?? 0) + spent);
  }
  for (const id of minutes.keys()) if (unknown.has(id) || state.progress.get(id)?.is !== 'done') minutes.delete(id);
  return minutes;
}

/** Each entry with the minutes its writer worked since the one before; absent where nobody knows, nought after a break. */
function* stretches(state: JobState): Iterable<{ readonly entry: LedgerEntry; readonly workedMin?: number }> {
  const lastBy = new Map<string, number>();
  for (const entry of state.entries) {
    const at = Date.parse(entry.at);
    const before = lastBy.get(entry.by);
    lastBy.set(entry.by, at);
    if (entry.kind === 'work-resumed') {
      yield { entry, workedMin: 0 };
      continue;
    }
    const gap = before === undefined ? Infinity : (at - before) / 60_000;
    yield gap >= 0 && gap <= LONGEST_STRETCH_MIN ? { entry, workedMin: gap } : { entry };
  }
}

function operationOf(state: JobState, entry: LedgerEntry) {
  if (!('operation' in entry) || entry.operation === undefined) return undefined;
  return state.work.operations.get(entry.operation);
}

function likelyMinutes(state: JobState, entry: LedgerEntry): number {
  return entry.kind === 'operation-done' ? (operationOf(state, entry)?.minutes.likely ?? 0) : 0;
}

function stopOfEntry(state: JobState, entry: LedgerEntry): Stop {
  const phase = operationOf(state, entry)?.phase;
  if (phase) return phase;
  switch (entry.kind) {
    case 'hold-point-signed':
      return state.work.operations.get(operationId.hold(entry.holdPoint))?.phase ?? 'strip';
    case 'part-needed':
    case 'part-arrived':
      return 'bench';
    case 'torque-read':
    case 'torque-accepted':
      return 'refit';
    case 'fasteners-counted':
    case 'fluid-measured':
      return entry.direction === 'out' ? 'strip' : 'refit';
    case 'start-attempted':
    case 'issue-opened':
    case 'issue-sorted':
    case 'issue-closed':
      return 'first-start';
    case 'ground-checked':
      return 'first-start';
    case 'plan-followed':
      return 'plan';
    case 'handed-over':
      return 'handover';
    default:
      return 'strip';
  }
}
