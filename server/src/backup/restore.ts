import { copyFile, mkdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Backup } from '@brisk/contracts/backup';
import { DataInUseError, lockFolder } from '../database/instance-lock.js';
import { DATABASE_FILE } from '../database/open.js';
import { hashIn, hashOf, pathOn, toDisk } from '../shelf/shelf-files.js';
import { BackupError, countsIn, filesOf, folderName, readBackup, type Progress } from './backup-folder.js';

/** What was gone back to, and where the data that stood there before is now. */
export interface Restored {
  readonly backup: Backup;
  readonly before?: string;
}

/**
 * Goes back to the backup in `backupFolder`: everything is written to a new folder and held against the backup’s own
 * account of itself; only then does it take the place of `dataFolder`, which is kept under another name. Throws
 * {@link BackupError}, and `DataInUseError` where a server is running on the data.
 */
export async function restore(
  backupFolder: string,
  dataFolder: string,
  now: Date,
  progress: Progress = () => undefined,
): Promise<Restored> {
  const backup = await readBackup(backupFolder);
  const there = await isFolder(dataFolder);
  if (there) lockFolder(dataFolder)();
  const fresh = `${dataFolder}.restoring`;
  await rm(fresh, { recursive: true, force: true });
  await mkdir(fresh, { recursive: true });
  try {
    progress('Copying the database');
    const file = join(fresh, DATABASE_FILE);
    await copyFile(join(backupFolder, DATABASE_FILE), file);
    if ((await hashOf(file)) !== backup.database)
      throw new BackupError('The database in that backup is not what it was.');
    await toDisk(file);
    const counts = countsIn(file);
    if (counts.jobs !== backup.jobs || counts.entries !== backup.entries)
      throw new BackupError('The database in that backup does not hold what it says.');
    const files = filesOf(backup);
    for (const [index, { shelf, name }] of files.entries()) {
      const target = pathOn(join(fresh, shelf), name);
      await mkdir(dirname(target), { recursive: true });
      await copyFile(pathOn(join(dirname(backupFolder), shelf), name), target);
      if ((await hashOf(target)) !== hashIn(name)) throw new BackupError(`${shelf}/${name} in that backup is damaged.`);
      await toDisk(target);
      if ((index + 1) % 100 === 0) progress(`File ${index + 1} of ${files.length}`);
    }
  } catch (error) {
    await rm(fresh, { recursive: true, force: true });
    if (error instanceof BackupError || error instanceof DataInUseError) throw error;
    throw new BackupError(error instanceof Error ? error.message : String(error));
  }
  const before = `${dataFolder}.before-${folderName(now.toISOString())}`;
  if (there) await rename(dataFolder, before);
  await rename(fresh, dataFolder);
  return { backup, ...(there ? { before } : {}) };
}

async function isFolder(path: string): Promise<boolean> {
  return stat(path).then(
    (found) => found.isDirectory(),
    () => false,
  );
}
