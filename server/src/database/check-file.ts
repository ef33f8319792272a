import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'libsql';
import { faultIn } from './quick-check.js';

/** The data is not to be written to as it is; `message` says why, and what can be done. */
export class DataDamagedError extends Error {
  override readonly name = 'DataDamagedError';
}

const RESTORE = 'Nothing was written to it. Put a backup in its place, or set BRISK_DATA to another folder.';

/**
 * Looks at the database file before anything is written to it; `known` names the migrations of this version. Throws
 * {@link DataDamagedError} where it is missing beside its photos, emptied, damaged, or of a newer version.
 */
export function checkFile(file: string, known: readonly string[]): void {
  if (!existsSync(file)) {
    const photos = join(dirname(file), 'photos');
    if (existsSync(photos) && readdirSync(photos).length > 0)
      throw new DataDamagedError(`${file} is missing, and its photos are there. ${RESTORE}`);
    return;
  }
  if (bytesIn(file) === 0 && bytesIn(`${file}-wal`) === 0) throw new DataDamagedError(`${file} is empty. ${RESTORE}`);
  const database = new Database(file, { readonly: true });
  try {
    const fault = faultIn(database);
    if (fault !== undefined) throw new DataDamagedError(`${file} is damaged (${fault}). ${RESTORE}`);
    const newer = migrationsIn(database).find((name) => !known.includes(name));
    if (newer !== undefined)
      throw new DataDamagedError(
        `${file} was written by a newer Brisk Ledger (${newer}). Start that one, or put a backup from before in its place.`,
      );
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

function migrationsIn(database: Database.Database): readonly string[] {
  const [table] = database.prepare(`select name from sqlite_master where name = 'mikro_orm_migrations'`).all();
  if (!table) return [];
  return (database.prepare('select name from mikro_orm_migrations').all() as readonly { readonly name: string }[]).map(
    ({ name }) => name,
  );
}
