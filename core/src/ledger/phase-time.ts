import { operationId } from '../teardown/index.js';
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
  const lastBy = new Map<string, number>();
  for (const entry of state.entries) {
    const at = Date.parse(entry.at);
    const before = lastBy.get(entry.by);
    const gap = before === undefined ? Infinity : (at - before) / 60_000;
    const spent = gap >= 0 && gap <= LONGEST_STRETCH_MIN ? gap : likelyMinutes(state, entry);
    const stop = stopOfEntry(state, entry);
    minutes.set(stop, (minutes.get(stop) ?? 0) + spent);
    lastBy.set(entry.by, at);
  }
  return minutes;
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
    case 'plan-followed':
      return 'plan';
    case 'handed-over':
      return 'handover';
    default:
      return 'strip';
  }
}
