import type { OperationId } from '../teardown/index.js';
import { rulesOf } from './entries/registry.js';
import type { LedgerEntry } from './entry.js';
import type { JobState } from './state.js';
import { STOPS, type Stop } from '../stops/index.js';

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
    const stop = rulesOf(entry.kind).stop(state, entry);
    minutes.set(stop, (minutes.get(stop) ?? 0) + spent);
  }
  return minutes;
}

/**
 * Minutes somebody really was at each step that is done, tries at it that did not come off among them. Steps that were
 * recorded with one key share what all of them took, by what each takes as a rule. Steps that began or ended in a gap too
 * long to be work are not in it: nobody knows.
 */
export function minutesByOperation(state: JobState): ReadonlyMap<OperationId, number> {
  const deeds = new Map<string, { readonly steps: Set<OperationId>; spentMin: number | undefined }>();
  const pending = new Map<string, number | undefined>();
  for (const { entry, workedMin } of stretches(state)) {
    const { by } = entry;
    const are = rulesOf(entry.kind).minutes;
    const [step] = are === 'of-the-step' ? (rulesOf(entry.kind).binds?.(entry).operations ?? []) : [];
    // Whatever somebody writes first of all, but for a step, is where their work begins.
    const begins = !pending.has(by) && step === undefined;
    const before = pending.has(by) ? pending.get(by) : 0;
    const spent = begins ? 0 : workedMin === undefined || before === undefined ? undefined : before + workedMin;
    pending.set(by, are === 'of-the-step' || are === 'by-itself' ? 0 : spent);
    if (step === undefined || state.corrected.has(entry.id)) continue;
    const deed = deeds.get(`${by} ${entry.at}`) ?? { steps: new Set(), spentMin: 0 };
    deed.steps.add(step);
    deed.spentMin = deed.spentMin === undefined || spent === undefined ? undefined : deed.spentMin + spent;
    deeds.set(`${by} ${entry.at}`, deed);
  }
  const likelyOf = (step: OperationId) => state.work.operations.get(step)?.minutes.likely ?? 0;
  const minutes = new Map<OperationId, number>();
  const unknown = new Set<OperationId>();
  for (const { steps, spentMin } of deeds.values()) {
    const likely = [...steps].reduce((sum, step) => sum + likelyOf(step), 0);
    for (const step of steps) {
      const share = likely > 0 ? likelyOf(step) / likely : 1 / steps.size;
      if (spentMin === undefined) unknown.add(step);
      else minutes.set(step, (minutes.get(step) ?? 0) + spentMin * share);
    }
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
    if (rulesOf(entry.kind).minutes === 'a-break') {
      yield { entry, workedMin: 0 };
      continue;
    }
    const gap = before === undefined ? Infinity : (at - before) / 60_000;
    yield gap >= 0 && gap <= LONGEST_STRETCH_MIN ? { entry, workedMin: gap } : { entry };
  }
}

function likelyMinutes(state: JobState, entry: LedgerEntry): number {
  return entry.kind === 'operation-done' ? (state.work.operations.get(entry.operation)?.minutes.likely ?? 0) : 0;
}
