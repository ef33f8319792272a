import { rulesOf } from './entries/registry.js';
import type { LedgerEntry } from './entry.js';
import type { JobState } from './state.js';

/**
 * `entry` with the next free number where somebody else was quicker with the one it has: a bag or a tag. The entry
 * itself where its number is free, or it has none.
 */
export function renumbered(state: JobState, entry: LedgerEntry): LedgerEntry {
  return rulesOf(entry.kind).renumbered?.(state, entry) ?? entry;
}
