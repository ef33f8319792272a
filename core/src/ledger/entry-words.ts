import { dayWords } from '../words/index.js';
import type { DaySaid } from './entries/entry-rules.js';
import { rulesOf } from './entries/registry.js';
import type { LedgerEntry } from './entry.js';
import type { JobState } from './state.js';

/** A ledger entry in one line, as a person would say it; `day` writes days as the shop does. */
export function entryWords(state: JobState, entry: LedgerEntry, day: DaySaid = dayWords): string {
  return rulesOf(entry.kind).words(entry, {
    state,
    day,
    step: (id) => state.work.operations.get(id)?.title ?? id,
    joint: (id) => state.work.connections.get(id)?.name ?? id,
    circuit: (id) => state.work.plan.map.circuits.find((one) => one.id === id)?.name.toLowerCase() ?? id,
    entry(id) {
      const other = state.entries.find((one) => one.id === id);
      // Of a correction only that it was one: corrections of corrections are refused, and must not run in a circle here.
      return other && other.kind !== 'corrected' ? entryWords(state, other, day) : undefined;
    },
  });
}
