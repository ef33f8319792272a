import { existsSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import Database from 'libsql';
import { migrationsIn } from './migrations-in.js';

/** So many copies made before an upgrade are kept. */
const KEPT = 3;

/** Where the copy of the database at `file` stands that was made before `migration`. */
export function copyBefore(file: string, migration: string): string {
  return file.replace(/\.db$/, `.before-${migration}.db`);
}

/**
 * Copies the database at `file` before the first of the migrations `known` that it has not had, so that whoever goes back
 * to an older version has something to go back to. Does nothing where there is no file, or nothing to migrate.
 */
export function copyBeforeUpgrade(file: string, known: readonly string[]): void {
  if (!existsSync(file)) return;
  const database = new Database(file, { readonly: true });
  try {
    const had = migrationsIn(database);
    const next = known.find((name) => !had.includes(name));
    if (next === undefined || had.length === 0) return;
    const copy = copyBefore(file, next);
    if (existsSync(copy)) return;
    rmSync(`${copy}.unfinished`, { force: true });
    database.exec(`vacuum into '${`${copy}.unfinished`.replaceAll("'", "''")}'`);
    renameSync(`${copy}.unfinished`, copy);
  } finally {
    database.close();
  }
  thinOut(file);
}

/** The names of migrations begin with their day, so the names of copies stand in the order they were made. */
function thinOut(file: string): void {
  const begins = basename(file).replace(/\.db$/, '.before-');
  const copies = readdirSync(dirname(file)).filter((name) => name.startsWith(begins) && name.endsWith('.db'));
  for (const old of copies.sort().reverse().slice(KEPT)) rmSync(join(dirname(file), old));
}
