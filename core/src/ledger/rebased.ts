import equal from 'fast-deep-equal';
import { canApply } from './can-apply.js';
import { rulesOf } from './entries/registry.js';
import { entryWords } from './entry-words.js';
import type { LedgerEntry } from './entry.js';
import { extend } from './fold.js';
import { renumbered } from './renumbered.js';
import type { JobState } from './state.js';

/** An entry that may not be written as things stand now, and why, in words for who recorded it. */
export interface Fallen {
  readonly entry: LedgerEntry;
  readonly words: string;
  /** Something else stands in the ledger under its id. */
  readonly idUsed?: true;
  /** It could be written, and would take the place of what somebody else wrote unknown to its writer. */
  readonly replaces?: true;
}

/** What waits on a device, sorted by what becomes of it. */
export interface Rebased {
  /** What still waits, in its order, with the numbers it has now. */
  readonly stands: readonly LedgerEntry[];
  readonly falls: readonly Fallen[];
  /** Those of what stands, and of what falls, that got the next free number. */
  readonly renumbered: readonly LedgerEntry[];
}

const ID_USED = 'Something else stands in the ledger under its number. Try again gives it another.';

/**
 * Holds what waits on a device against `state`, which is what the server has now; of it the device knew the first `known`
 * entries when it recorded `waiting`. What is there already waits no longer.
 */
export function rebased(state: JobState, known: number, waiting: readonly LedgerEntry[]): Rebased {
  const there = new Map(state.entries.map((entry) => [entry.id, entry]));
  const filled = filledSince(state, known, new Set(waiting.map(({ id }) => id)));
  const stands: LedgerEntry[] = [];
  const falls: Fallen[] = [];
  const numbered: LedgerEntry[] = [];
  let reached = state;
  for (const kept of waiting) {
    const written = there.get(kept.id);
    if (written) {
      if (!isSame(written, kept)) falls.push({ entry: kept, words: ID_USED, idUsed: true });
      continue;
    }
    const entry = renumbered(reached, kept);
    if (entry !== kept) numbered.push(entry);
    const [refusal] = canApply(reached, entry);
    const theirs = placesOf(entry).flatMap((place) => filled.get(place) ?? [])[0];
    if (refusal) falls.push({ entry, words: refusal.words });
    else if (theirs && !equal(bodyOf(theirs), bodyOf(entry)))
      falls.push({
        entry,
        words: `${theirs.by} was there meanwhile: “${entryWords(state, theirs)}”. Yours would take its place.`,
        replaces: true,
      });
    else {
      reached = extend(reached, [entry]);
      stands.push(entry);
    }
  }
  return { stands, falls, renumbered: numbered };
}

/** What others put where one thing is held, since the device knew the ledger, and what still stands of it. */
function filledSince(state: JobState, known: number, own: ReadonlySet<string>): ReadonlyMap<string, LedgerEntry> {
  const others = state.entries.slice(known).filter(({ id }) => !own.has(id) && !state.corrected.has(id));
  return new Map(others.flatMap((entry) => placesOf(entry).map((place) => [place, entry] as const)));
}

const placesOf = (entry: LedgerEntry): readonly string[] =>
  rulesOf(entry.kind)
    .fills?.(entry)
    .map((place) => `${entry.kind} ${place}`) ?? [];

function bodyOf({ id: _id, at: _at, by: _by, ...body }: LedgerEntry): object {
  return body;
}

/** Whether two entries of one id are the same one: what was sent, and what came back of it. */
function isSame(one: LedgerEntry, other: LedgerEntry): boolean {
  return one.kind === other.kind && one.at === other.at && one.by === other.by;
}
