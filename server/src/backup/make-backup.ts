import { copyFile, mkdir, readdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { BACKUP_FORMAT, type Backup } from '@brisk/contracts/backup';
import Database from 'libsql';
import { DATABASE_FILE } from '../database/open.js';
import { hashIn, hashOf, namesOn, pathOn, SHELVES, toDisk } from '../shelf/shelf-files.js';
import { keptOf } from './ages.js';
import {
  ACCOUNT,
  BackupError,
  backupsIn,
  countsIn,
  filesOf,
  folderName,
  UNFINISHED,
  type Progress,
} from './backup-folder.js';

/** What was begun so long ago will not be finished any more. */
const GIVEN_UP_MS = 86_400_000;

/**
 * Writes a backup of the data in `dataFolder` into a folder of its own within `into`, while a server may be running on
 * it: a consistent copy of the database and every picture and file that is not there yet. It is read back before it gets its
 * name; then those that are older than the ages kept go. One that is damaged where it stands is left out and named.
 * Throws {@link BackupError}.
 */
export async function makeBackup(
  dataFolder: string,
  into: string,
  now: Date,
  progress: Progress = () => undefined,
): Promise<Backup> {
  const madeAt = now.toISOString();
  const folder = join(into, folderName(madeAt));
  const unfinished = `${folder}${UNFINISHED}`;
  try {
    await mkdir(unfinished, { recursive: true });
    progress('Copying the database');
    const copy = join(unfinished, DATABASE_FILE);
    copyDatabase(join(dataFolder, DATABASE_FILE), copy);
    const backup: Backup = {
      format: BACKUP_FORMAT,
      version: 1,
      madeAt,
      ...countsIn(copy),
      database: await hashOf(copy),
      ...(await copyShelves(dataFolder, into, progress)),
    };
    await writeFile(join(unfinished, ACCOUNT), JSON.stringify(backup));
    for (const file of [DATABASE_FILE, ACCOUNT]) await toDisk(join(unfinished, file));
    await rename(unfinished, folder);
    await toDisk(into);
    await thinOut(into, now);
    return backup;
  } catch (error) {
    await rm(unfinished, { recursive: true, force: true }).catch(() => undefined);
    throw error instanceof BackupError ? error : new BackupError(wordsFor(error, into));
  }
}

function copyDatabase(from: string, to: string): void {
  const source = new Database(from, { readonly: true });
  try {
    source.exec(`vacuum into '${to.replaceAll("'", "''")}'`);
  } finally {
    source.close();
  }
}

async function copyShelves(
  from: string,
  to: string,
  progress: Progress,
): Promise<Pick<Backup, 'photos' | 'literature' | 'damaged'>> {
  const copied = { photos: [] as string[], literature: [] as string[] };
  const damaged: string[] = [];
  for (const shelf of SHELVES) {
    const all = await namesOn(join(from, shelf));
    for (const [index, name] of all.entries()) {
      if (await copyFileOf(name, join(from, shelf), join(to, shelf))) copied[shelf].push(name);
      else damaged.push(hashIn(name));
      if ((index + 1) % 100 === 0) progress(`${shelf}: ${index + 1} of ${all.length}`);
    }
  }
  return { photos: copied.photos.map(hashIn), literature: copied.literature, damaged };
}

/** Whether the file `name` is on the shelf `to` now, as it should be. */
async function copyFileOf(name: string, from: string, to: string): Promise<boolean> {
  const [source, target] = [pathOn(from, name), pathOn(to, name)];
  if ((await sizeOf(target)) === (await sizeOf(source))) return true;
  const unfinished = `${target}${UNFINISHED}`;
  await mkdir(dirname(target), { recursive: true });
  await copyFile(source, unfinished);
  if ((await hashOf(unfinished)) !== hashIn(name)) {
    await rm(unfinished);
    return false;
  }
  await toDisk(unfinished);
  await rename(unfinished, target);
  await toDisk(dirname(target));
  return true;
}

/** Removes the backups whose age is not kept, the files that none of those left has, and what was given up half-way. */
async function thinOut(into: string, now: Date): Promise<void> {
  const all = await backupsIn(into);
  const keptTimes = keptOf(all.map(({ backup }) => backup.madeAt));
  const kept = all.filter(({ backup }) => keptTimes.has(backup.madeAt));
  const needed = new Set(kept.flatMap(({ backup }) => filesOf(backup).map(({ name }) => name)));
  for (const { folder, backup } of all) {
    if (keptTimes.has(backup.madeAt)) continue;
    await rm(folder, { recursive: true, force: true });
    for (const { shelf, name } of filesOf(backup))
      if (!needed.has(name)) await rm(pathOn(join(into, shelf), name), { force: true });
  }
  for (const name of (await readdir(into)).filter((one) => one.endsWith(UNFINISHED))) {
    const { mtimeMs } = await stat(join(into, name));
    if (now.getTime() - mtimeMs > GIVEN_UP_MS) await rm(join(into, name), { recursive: true, force: true });
  }
}

async function sizeOf(path: string): Promise<number | undefined> {
  return stat(path).then(
    ({ size }) => size,
    () => undefined,
  );
}

function wordsFor(error: unknown, into: string): string {
  const code = typeof error === 'object' && error !== null && 'code' in error ? error.code : undefined;
  if (code === 'ENOSPC' || code === 'EDQUOT') return `There is no room left in ${into}.`;
  if (code === 'EACCES' || code === 'EROFS' || code === 'ENOTDIR' || code === 'ENOENT')
    return `${into} cannot be written to. Is the drive there?`;
  return error instanceof Error ? error.message : String(error);
}
