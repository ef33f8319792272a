import { join } from 'node:path';
import type Database from 'libsql';
import { LibSqlDriver, MikroORM, type SqlEntityManager } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { checkFile } from './check-file.js';
import { commitsOn, type Commit } from './commits.js';
import { makeFolder } from './make-folder.js';
import { lockFolder } from './instance-lock.js';
import { JobsAndLedger } from './migrations/2026-11-23-jobs-and-ledger.js';
import { ShopDocuments } from './migrations/2026-11-23-shop-documents.js';
import { JobCards } from './migrations/2026-11-26-job-cards.js';
import { SetAside } from './migrations/2026-11-27-set-aside.js';
import { PeopleAndDevices } from './migrations/2026-11-28-people-and-devices.js';
import { TorqueIndex } from './migrations/2026-11-27-torque-index.js';
import { copyBeforeUpgrade } from './upgrade-copy.js';
import { PutRight } from './migrations/2026-11-27-put-right.js';
import { DevicePersonRows, DeviceRows, EntryRows, JobRows, PersonRows, ShopDocumentRows } from './rows.js';

/** The shop’s data, open and brought up to the present schema. */
export interface OpenDatabase {
  readonly orm: MikroORM;
  /** A fresh unit of work. */
  readonly fork: () => SqlEntityManager;
  /** Writes a few rows, together with whatever else is waiting to be written. */
  readonly commit: Commit;
  readonly close: () => Promise<void>;
}

/** Name of the database file within the data folder. */
export const DATABASE_FILE = 'brisk-ledger.db';

/** What brings an older file up to the present schema, in order. */
const MIGRATIONS = [
  { name: '2026-11-23-jobs-and-ledger', class: JobsAndLedger },
  { name: '2026-11-23-shop-documents', class: ShopDocuments },
  { name: '2026-11-26-job-cards', class: JobCards },
  { name: '2026-11-27-set-aside', class: SetAside },
  { name: '2026-11-27-put-right', class: PutRight },
  { name: '2026-11-27-torque-index', class: TorqueIndex },
  { name: '2026-11-28-people-and-devices', class: PeopleAndDevices },
];

/** The pool opens another connection every few seconds; each of them has to wait for the disk. */
function prepareConnection(connection: Database.Database, done: (error: unknown) => void): void {
  try {
    for (const pragma of ['journal_mode = wal', 'synchronous = full', 'foreign_keys = on'])
      connection.exec(`pragma ${pragma}`);
    done(undefined);
  } catch (error) {
    done(error);
  }
}

/**
 * Opens the database in `folder`, making folder and schema where they are missing. Every commit is on the disk before
 * it is answered (WAL with `synchronous = FULL`). Throws `DataInUseError` where another process has it open, and
 * `DataDamagedError` where the file is not one to be written to.
 */
export async function openDatabase(folder: string): Promise<OpenDatabase> {
  makeFolder(folder);
  const unlock = lockFolder(folder);
  try {
    const file = join(folder, DATABASE_FILE);
    const known = MIGRATIONS.map(({ name }) => name);
    checkFile(file, known);
    copyBeforeUpgrade(file, known);
    const orm = await MikroORM.init({
      driver: LibSqlDriver,
      dbName: file,
      entities: [JobRows, EntryRows, ShopDocumentRows, PersonRows, DeviceRows, DevicePersonRows],
      extensions: [Migrator],
      migrations: {
        migrationsList: [...MIGRATIONS],
        snapshot: false,
        silent: true,
      },
      pool: { afterCreate: prepareConnection },
    });
    await orm.getMigrator().up();
    return {
      orm,
      fork: () => orm.em.fork(),
      commit: commitsOn(orm.em),
      close: async () => {
        // What stands beside the file goes into it, so that a copy of the file alone is the whole data.
        await orm.em.getConnection().execute('pragma wal_checkpoint(truncate)');
        await orm.close(true);
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}
