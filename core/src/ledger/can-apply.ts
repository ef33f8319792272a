import { rulesOf } from './entries/registry.js';
import type { WholeLedger } from './entries/entry-rules.js';
import type { LedgerEntry } from './entry.js';
import { extend, put, startOf, thaw } from './fold.js';
import { openItems } from './open-items.js';
import { refuse, type Refusal } from './refusal.js';
import type { JobState } from './state.js';

/** Reasons `entry` may not follow `state`; none when it may. */
export function canApply(state: JobState, entry: LedgerEntry): readonly Refusal[] {
  const rules = rulesOf(entry.kind);
  return state.handedOver && !rules.afterHandover
    ? refuse('closed', 'This job is handed over. Take the handover back first if work goes on.')
    : rules.mayFollow(state, entry, WHOLE_LEDGER);
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

const WHOLE_LEDGER: WholeLedger = {
  openItems,
  brokenWithout(state, id) {
    const rest = state.entries.filter(
      (entry) => entry.id !== id && entry.kind !== 'corrected' && !state.corrected.has(entry.id),
    );
    const broken = replay(startOf(state.plan), rest).refused;
    return broken && (broken.refusals[0]?.words ?? broken.entry.kind);
  },
};
