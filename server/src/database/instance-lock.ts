import { join } from 'node:path';
import Database from 'libsql';

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
  const lock = new Database(join(folder, 'in-use.db'), { timeout: 0 });
  try {
    lock.exec('PRAGMA locking_mode = EXCLUSIVE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (error instanceof Error && /locked|busy/i.test(error.message)) throw new DataInUseError(folder);
    throw error;
  }
  return () => lock.close();
}
