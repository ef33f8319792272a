import type { LedgerEntry } from './entry.js';
import type { JobState } from './state.js';

/**
 * What `person` recorded last and has not taken back: one entry, or several that were recorded together. Empty where
 * there is none.
 */
export function lastEntriesOf(state: JobState, person: string): readonly LedgerEntry[] {
  const own = state.entries.filter(
    ({ by, kind, id }) => by === person && kind !== 'corrected' && !state.corrected.has(id),
  );
  const last = own.at(-1);
  return last ? own.filter(({ at }) => at === last.at) : [];
}
