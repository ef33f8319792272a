import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { backupSchema, type Backup } from '@brisk/contracts/backup';
import { check } from '@brisk/contracts/check';
import Database from 'libsql';
import { faultIn } from '../database/quick-check.js';
import { photoFile } from '../photos/photo-file.js';
import type { ShelfName } from '../shelf/shelf-files.js';

/** Name of the account that a backup gives of itself, within its folder. */
export const ACCOUNT = 'backup.json';
/** What is being written has this after its name until it is whole. */
export const UNFINISHED = '.unfinished';

/** A backup cannot be made, or cannot be gone back to; `message` says why, for whoever asked for it. */
export class BackupError extends Error {
  override readonly name = 'BackupError';
}

/** Told how far it is, as a line for a person. */
export type Progress = (words: string) => void;

/** A backup, and the folder it is in. */
export interface BackupAt {
  readonly folder: string;
  readonly backup: Backup;
}

/** A file that belongs to a backup, and the shelf beside the backups it stands on. */
export interface FileOfBackup {
  readonly shelf: ShelfName;
  readonly name: string;
}

/** Every picture and every file of the literature that `backup` has. */
export function filesOf({ photos, literature = [] }: Backup): readonly FileOfBackup[] {
  return [
    ...photos.map((photo) => ({ shelf: 'photos' as const, name: photoFile(photo) })),
    ...literature.map((name) => ({ shelf: 'literature' as const, name })),
  ];
}

/** Name of the folder of a backup made at `madeAt` (ISO). */
export function folderName(madeAt: string): string {
  return madeAt.replace(/[:.]/g, '-');
}

/** The backups in `into`, newest first. What is no backup of ours is passed over. */
export async function backupsIn(into: string): Promise<readonly BackupAt[]> {
  const names = await readdir(into).catch(() => [] as string[]);
  const found = await Promise.all(
    names
      .filter((name) => /^\d{4}-\d\d-\d\dT/.test(name) && !name.endsWith(UNFINISHED))
      .map(async (name): Promise<readonly BackupAt[]> => {
        const folder = join(into, name);
        const backup = await readBackup(folder).catch(() => undefined);
        return backup ? [{ folder, backup }] : [];
      }),
  );
  return found.flat().sort((one, other) => other.backup.madeAt.localeCompare(one.backup.madeAt));
}

/** What the backup in `folder` says of itself. Throws {@link BackupError}. */
export async function readBackup(folder: string): Promise<Backup> {
  const text = await readFile(join(folder, ACCOUNT), 'utf8').catch(() => undefined);
  if (text === undefined) throw new BackupError(`There is no ${ACCOUNT} in ${folder}: it is no backup of ours.`);
  const read = check(backupSchema, parsed(text));
  if ('errors' in read) throw new BackupError(`${ACCOUNT} in ${folder} cannot be read: ${read.errors[0]?.words ?? ''}`);
  return read.value;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Jobs and entries in a copy of the database, which is looked through meanwhile. Throws {@link BackupError}. */
export function countsIn(file: string): Pick<Backup, 'jobs' | 'entries'> {
  const copy = new Database(file, { readonly: true });
  try {
    const fault = faultIn(copy);
    if (fault !== undefined) throw new BackupError(`${file} is not whole: ${fault}.`);
    const count = (table: string) =>
      (copy.prepare(`select count(*) as many from "${table}"`).get() as { readonly many: number }).many;
    return { jobs: count('job'), entries: count('ledger_entry') };
  } finally {
    copy.close();
  }
}
