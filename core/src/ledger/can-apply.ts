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
    const all = state.entries.filter((entry) => entry.kind !== 'corrected' && !state.corrected.has(entry.id));
    const rest = all.filter((entry) => entry.id !== id);
    if (!replay(startOf(state.plan), rest).refused) return undefined;
    // The map may have changed since: what could not be written any more with it there either does not stand on it.
    const anyway = refusalsAmong(state, all);
    for (const [entry, words] of refusalsAmong(state, rest)) {
      const known = anyway.get(entry);
      const fresh = words.find((one) => !known?.includes(one));
      if (fresh !== undefined) return fresh;
    }
    return undefined;
  },
};

/** Why each of `entries` could not be written today after those before it, by its id; all of them are taken as written. */
function refusalsAmong(state: JobState, entries: readonly LedgerEntry[]): ReadonlyMap<string, readonly string[]> {
  const refused = new Map<string, readonly string[]>();
  const reached = thaw(startOf(state.plan));
  for (const entry of entries) {
    const refusals = canApply(reached, entry);
    if (refusals.length > 0)
      refused.set(
        entry.id,
        refusals.map(({ words }) => words),
      );
    put(reached, entry);
  }
  return refused;
}
