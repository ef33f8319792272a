import type Database from 'libsql';

/** The migrations that a database has had, first to last. */
export function migrationsIn(database: Database.Database): readonly string[] {
  const [table] = database.prepare(`select name from sqlite_master where name = 'mikro_orm_migrations'`).all();
  if (!table) return [];
  const rows = database.prepare('select name from mikro_orm_migrations order by id').all();
  return (rows as readonly { readonly name: string }[]).map(({ name }) => name);
}
