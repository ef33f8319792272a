import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'libsql';

/** Says by its name what it is for: nobody takes it for something left lying about. */
const LOCK_FILE = 'brisk-ledger.db.in-use-do-not-delete';
/** What it was called before. */
const NAMED_BEFORE = 'in-use.db';

/** Somebody else works on the same data. */
export class DataInUseError extends Error {
  override readonly name = 'DataInUseError';
  constructor(folder: string) {
    super(`Another Brisk Ledger is running on ${folder}. Stop that one, or set BRISK_DATA to another folder.`);
  }
}

/**
 * Holds `folder` for this process until the returned function is called. The lock is the operating system’s, taken
 * through an exclusive SQLite transaction, so a process that dies leaves none behind. Throws {@link DataInUseError}.
 */
export function lockFolder(folder: string): () => void {
  const before = join(folder, NAMED_BEFORE);
  if (existsSync(before)) {
    lock(folder, before)();
    for (const file of [before, `${before}-journal`]) rmSync(file, { force: true });
  }
  return lock(folder, join(folder, LOCK_FILE));
}

function lock(folder: string, file: string): () => void {
  const held = new Database(file, { timeout: 0 });
  try {
    held.exec('PRAGMA locking_mode = EXCLUSIVE');
    held.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    held.close();
    if (error instanceof Error && /locked|busy/i.test(error.message)) throw new DataInUseError(folder);
    throw error;
  }
  return () => held.close();
}
