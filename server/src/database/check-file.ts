import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'libsql';
import { SHELVES } from '../shelf/shelf-files.js';
import { migrationsIn } from './migrations-in.js';
import { faultIn } from './quick-check.js';
import { copyBefore } from './upgrade-copy.js';

/** The data is not to be written to as it is; `message` says why, and what can be done. */
export class DataDamagedError extends Error {
  override readonly name = 'DataDamagedError';
}

const RESTORE = 'Nothing was written to it. Put a backup in its place, or set BRISK_DATA to another folder.';

/**
 * Looks at the database file before anything is written to it; `known` names the migrations of this version. Throws
 * {@link DataDamagedError} where it is missing beside its files, emptied, damaged, or of a newer version.
 */
export function checkFile(file: string, known: readonly string[]): void {
  if (!existsSync(file)) {
    const shelf = SHELVES.find((name) => {
      const folder = join(dirname(file), name);
      return existsSync(folder) && readdirSync(folder).length > 0;
    });
    if (shelf) throw new DataDamagedError(`${file} is missing, and what stands under ${shelf} is there. ${RESTORE}`);
    return;
  }
  if (bytesIn(file) === 0 && bytesIn(`${file}-wal`) === 0) throw new DataDamagedError(`${file} is empty. ${RESTORE}`);
  const database = new Database(file, { readonly: true });
  try {
    const fault = faultIn(database);
    if (fault !== undefined) throw new DataDamagedError(`${file} is damaged (${fault}). ${RESTORE}`);
    const newer = migrationsIn(database).find((name) => !known.includes(name));
    if (newer !== undefined) throw new DataDamagedError(ofANewerVersion(file, newer));
  } catch (error) {
    if (error instanceof DataDamagedError) throw error;
    throw new DataDamagedError(`${file} cannot be read as a database. ${RESTORE}`);
  } finally {
    database.close();
  }
}

function bytesIn(file: string): number {
  return statSync(file, { throwIfNoEntry: false })?.size ?? 0;
}

function ofANewerVersion(file: string, migration: string): string {
  const copy = copyBefore(file, migration);
  const instead = existsSync(copy)
    ? `or put the copy that was made before it, ${copy}, in its place: what was written since is not in that`
    : 'or put a backup from before in its place';
  return `${file} was written by a newer Brisk Ledger (${migration}). Start that one, ${instead}.`;
}
