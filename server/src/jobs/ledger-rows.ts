import { setImmediate as nextTurn } from 'node:timers/promises';
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import type { SqlEntityManager } from '@mikro-orm/libsql';
import type { LedgerEntry } from '@brisk/core/ledger';
import type { Commit } from '../database/commits.js';
import { EntryRows, type EntryRow } from '../database/rows.js';
import { ProblemError } from '../http/problem.js';
import { DROP_CARD } from './job-cards.js';
import { SLICE } from './slices.js';
import type { StoredEntry } from './stored-job.js';

/** Rows in one insert, within what SQLite takes as parameters. */
const ROWS_AT_ONCE = 500;

/** `entries` as rows of the ledger of `jobId`, from the position after `after` on. */
export function rowsOf(
  jobId: string,
  after: number,
  entries: readonly LedgerEntry[],
  recordedAt: string,
): readonly EntryRow[] {
  return entries.map((entry, index) => ({
    id: entry.id,
    jobId,
    position: after + index + 1,
    kind: entry.kind,
    at: entry.at,
    by: entry.by,
    recordedAt,
    document: JSON.stringify(entry),
  }));
}

/** Writes the few rows of one request, and throws the card of their job away. Throws `id-used`. */
export async function insertFew(commit: Commit, job: string, rows: readonly EntryRow[]): Promise<void> {
  try {
    await commit((run) => {
      for (const { id, jobId, position, kind, at, by, recordedAt, document } of rows)
        run(INSERT_ENTRY, [id, jobId, position, kind, at, by, recordedAt, document]);
      run(DROP_CARD, [job]);
    });
  } catch (error) {
    if (isTaken(error)) throw idOfAnother();
    throw error;
  }
}

/** Writes the rows of a bundle within a transaction; they are no reason to keep everybody else waiting. Throws `id-used`. */
export async function insertMany(em: SqlEntityManager, rows: readonly EntryRow[]): Promise<void> {
  try {
    for (let start = 0; start < rows.length; start += ROWS_AT_ONCE) {
      await em.insertMany(EntryRows, rows.slice(start, start + ROWS_AT_ONCE));
      await nextTurn();
    }
  } catch (error) {
    if (error instanceof UniqueConstraintViolationException) throw idOfAnother();
    throw error;
  }
}

/** The ledger of a job as the file has it, first to last. */
export async function storedEntries(em: SqlEntityManager, job: string): Promise<readonly StoredEntry[]> {
  const rows: StoredEntry[] = [];
  for (;;) {
    const some = await em.execute<StoredEntry[]>(STORED_ENTRIES, [job, rows.at(-1)?.position ?? 0, SLICE]);
    rows.push(...some);
    if (some.length < SLICE) return rows;
    await nextTurn();
  }
}

/**
 * Puts entries in the place of those that cannot be read, by position, within a transaction. Nothing else ever changes a
 * ledger, and a trigger sees to that.
 */
export async function rewrite(
  em: SqlEntityManager,
  job: string,
  instead: ReadonlyMap<number, LedgerEntry>,
): Promise<void> {
  const [trigger] = await em.execute<{ readonly sql: string }[]>(
    `select "sql" from "sqlite_master" where "name" = 'ledger_entry_no_update'`,
  );
  if (trigger) await em.execute('drop trigger "ledger_entry_no_update"');
  for (const [position, entry] of instead)
    await em.execute('update "ledger_entry" set "document" = ? where "job_id" = ? and "position" = ?', [
      JSON.stringify(entry),
      job,
      position,
    ]);
  if (trigger) await em.execute(trigger.sql);
}

const INSERT_ENTRY = `insert into "ledger_entry"
  ("id", "job_id", "position", "kind", "at", "by", "recorded_at", "document") values (?, ?, ?, ?, ?, ?, ?, ?)`;

const STORED_ENTRIES = `select "position", "id", "kind", "at", "by", "recorded_at" as "recordedAt", "document"
  from "ledger_entry" where "job_id" = ? and "position" > ? order by "position" limit ?`;

const idOfAnother = () => new ProblemError('id-used', 'An entry of another job has this id. Nothing was written.');

function isTaken(error: unknown): boolean {
  return error instanceof Error && 'code' in error && String(error.code).startsWith('SQLITE_CONSTRAINT');
}
