import { join } from 'node:path';
import Database from 'libsql';
import { DATABASE_FILE } from '../database/open.js';
import type { Spare } from '../jobs/put-right.js';
import { entryIn, jobIn, type StoredEntry, type StoredJob } from '../jobs/stored-job.js';
import { backupsIn } from './backup-folder.js';

/** A readable copy of a job, and when the backup it is from was made. */
export interface SpareFromBackup extends Spare {
  readonly madeAt: string;
}

/** The newest copy of `job` in the backups of the folder `into` that can be read; undefined where there is none. */
export async function spareIn({
  into,
  job,
}: {
  readonly into: string;
  readonly job: string;
}): Promise<SpareFromBackup | undefined> {
  for (const { folder, backup } of await backupsIn(into)) {
    const spare = spareAt(join(folder, DATABASE_FILE), job);
    if (spare) return { ...spare, madeAt: backup.madeAt };
  }
  return undefined;
}

function spareAt(file: string, id: string): Spare | undefined {
  const database = new Database(file, { readonly: true });
  try {
    const row = database.prepare('select id, document from job where id = ?').get(id) as StoredJob['job'] | undefined;
    const job = row && jobIn(row);
    if (!job) return undefined;
    const rows = database.prepare('select id, document from ledger_entry where job_id = ? order by position').all(id);
    return { job, ledger: (rows as readonly StoredEntry[]).flatMap((stored) => entryIn(stored) ?? []) };
  } catch {
    // A backup that is damaged itself is passed over for an older one.
    return undefined;
  } finally {
    database.close();
  }
}
