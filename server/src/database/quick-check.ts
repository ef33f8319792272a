import type Database from 'libsql';

/** What SQLite finds wrong with the file behind `database`; undefined where it is whole. */
export function faultIn(database: Database.Database): string | undefined {
  const [found] = database.prepare('pragma quick_check(1)').all() as readonly { readonly quick_check: string }[];
  return found?.quick_check === 'ok' ? undefined : (found?.quick_check ?? 'nothing can be read');
}
