import type { Job } from '@brisk/contracts/job';
import { replay, startOf, type LedgerEntry } from '@brisk/core/ledger';
import { ProblemError } from '../http/problem.js';
import { entryIn, jobIn, type StoredEntry, type StoredJob } from './stored-job.js';

/** A copy of a job that can be read. */
export interface Spare {
  readonly job: Job;
  readonly ledger: readonly LedgerEntry[];
}

/** What a job that could not be read is made into. */
export interface PutRight {
  readonly job: Job;
  readonly entries: readonly LedgerEntry[];
  /** By position, the entries that stand there instead of what could not be read. */
  readonly instead: ReadonlyMap<number, LedgerEntry>;
  /** How many of those nobody has a copy of; a note stands in their place. */
  readonly lost: number;
}

/**
 * A stored job with what cannot be read of it taken from `spare`. Whatever can be read stays as it is stored; an entry that
 * the spare has not got either becomes a note that says so. Throws `refused` where the two do not belong together.
 */
export function putRight({ stored, spare }: { readonly stored: StoredJob; readonly spare: Spare }): PutRight {
  const job = jobIn(stored.job) ?? spare.job;
  const copies = new Map(spare.ledger.map((entry) => [entry.id, entry]));
  const instead = new Map<number, LedgerEntry>();
  let lost = 0;
  const entries = stored.entries.map((row) => {
    const readable = entryIn(row);
    if (readable) return readable;
    const copy = copies.get(row.id);
    if (!copy) lost += 1;
    const entry = copy ?? noteFor(row);
    instead.set(row.position, entry);
    return entry;
  });
  return { job: follows(job, entries) ? job : { ...job, unchecked: true }, entries, instead, lost };
}

function noteFor({ id, at, by, kind }: StoredEntry): LedgerEntry {
  return {
    id,
    at,
    by,
    kind: 'noted',
    text: `What was recorded here (${kind}) cannot be read any more, and no copy of it was found.`,
  };
}

function follows(job: Job, entries: readonly LedgerEntry[]): boolean {
  try {
    return replay(startOf(job.plan), entries).refused === undefined;
  } catch (error) {
    throw new ProblemError(
      'refused',
      'That copy and what is stored do not belong together. Nothing was changed.',
      {},
      {
        cause: error,
      },
    );
  }
}
