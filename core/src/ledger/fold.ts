import type { JobPlan } from '../connection-map/index.js';
import { workOf } from '../work/index.js';
import { rulesOf } from './entries/registry.js';
import type { LedgerEntry } from './entry.js';
import { emptyRecord, type Draft, type JobState } from './state.js';

/** A job before its first entry: everything closed, the machine on the ground. */
export function startOf(plan: JobPlan): JobState {
  return { plan, work: workOf(plan), ...emptyRecord() };
}

/** The state that `entries`, in order, bring a job of `plan` to. An entry that a later one corrects counts for nothing. */
export function foldLedger(plan: JobPlan, entries: readonly LedgerEntry[]): JobState {
  return extend(startOf(plan), entries);
}

/** `state` carried on by `entries`. The same as folding all of them from the start, and cheaper for a few. */
export function extend(state: JobState, entries: readonly LedgerEntry[]): JobState {
  if (entries.length === 0) return state;
  if (state.position > 0 && entries.some(({ kind }) => kind === 'corrected'))
    return extend(startOf(state.plan), [...state.entries, ...entries]);
  const draft = thaw(state);
  const corrected = new Set(entries.flatMap((entry) => (entry.kind === 'corrected' ? [entry.corrects] : [])));
  for (const entry of entries) {
    if (corrected.has(entry.id)) draft.corrected.add(entry.id);
    put(draft, entry);
  }
  return draft;
}

/** Puts one entry, which is no correction, onto `draft`. */
export function put(draft: Draft, entry: LedgerEntry): void {
  draft.entries.push(entry);
  draft.position += 1;
  if (draft.corrected.has(entry.id)) return;
  rulesOf(entry.kind).fold(draft, entry, { by: entry.by, at: entry.at, entry: entry.id });
}

/** A copy of `state` that may be written to: its lists, sets and maps are its own. */
export function thaw(state: JobState): Draft {
  const draft: Record<string, unknown> = { ...state };
  for (const [field, value] of Object.entries(draft))
    if (value instanceof Map) draft[field] = new Map(value);
    else if (value instanceof Set) draft[field] = new Set(value);
    else if (Array.isArray(value)) draft[field] = [...value];
  return { ...state, ...draft } as Draft;
}
