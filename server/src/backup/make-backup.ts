import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { copyFile, mkdir, open, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import Database from 'libsql';
import { DATABASE_FILE } from '../database/open.js';
import { keptOf } from './ages.js';

const FORMAT = 'brisk-ledger-backup';
const MANIFEST = 'backup.json';
const PHOTO = /^([0-9a-f]{64})\.jpg$/;

/** What a backup says of itself. */
export interface Backup {
  readonly format: typeof FORMAT;
  readonly version: 1;
  readonly madeAt: string;
  readonly jobs: number;
  readonly entries: number;
  /** SHA-256 of the database file. */
  readonly database: string;
  /** Pictures by the SHA-256 of their contents; they stand in `photos` beside the backups, once for all of them. */
  readonly photos: readonly string[];
}

/** A backup cannot be made, or cannot be gone back to; `message` says why, for whoever asked for it. */
export class BackupError extends Error {
  override readonly name = 'BackupError';
}

/** Told how far it is, as a line for a person. */
export type Progress = (words: string) => void;

/**
 * Writes a backup of the data in `dataFolder` into a folder of its own within `into`, while a server may be running on
 * it: a consistent copy of the database and every picture that is not there yet. It is read back before it gets its
 * name; then those that are older than the ages kept go. Throws {@link BackupError}.
 */
export async function makeBackup(
  dataFolder: string,
  into: string,
  now: Date,
  progress: Progress = () => undefined,
): Promise<Backup> {
  const madeAt = now.toISOString();
  const folder = join(into, nameFor(madeAt));
  const unfinished = `${folder}.unfinished`;
  try {
    await mkdir(unfinished, { recursive: true });
    progress('Copying the database');
    const copy = join(unfinished, DATABASE_FILE);
    copyDatabase(join(dataFolder, DATABASE_FILE), copy);
    const { jobs, entries } = countsIn(copy);
    const photos = await copyPhotos(join(dataFolder, 'photos'), join(into, 'photos'), progress);
    const backup: Backup = {
      format: FORMAT,
      version: 1,
      madeAt,
      jobs,
      entries,
      database: await hashOf(copy),
      photos,
    };
    await writeFile(join(unfinished, MANIFEST), JSON.stringify(backup));
    for (const file of [DATABASE_FILE, MANIFEST]) await toDisk(join(unfinished, file));
    await rm(folder, { recursive: true, force: true });
    await rename(unfinished, folder);
    await thinOut(into);
    return backup;
  } catch (error) {
    await rm(unfinished, { recursive: true, force: true }).catch(() => undefined);
    throw error instanceof BackupError ? error : new BackupError(wordsFor(error, into));
  }
}

/** The backups in `into`, newest first, with the folder of each. What is no backup of ours is passed over. */
export async function backupsIn(
  into: string,
): Promise<readonly { readonly folder: string; readonly backup: Backup }[]> {
  const names = await readdir(into).catch(() => [] as string[]);
  const found = await Promise.all(
    names
      .filter((name) => /^\d{4}-\d\d-\d\dT/.test(name) && !name.endsWith('.unfinished'))
      .map(async (name) => {
        const folder = join(into, name);
        const backup = await readBackup(folder).catch(() => undefined);
        return backup ? [{ folder, backup }] : [];
      }),
  );
  return found.flat().sort((one, other) => other.backup.madeAt.localeCompare(one.backup.madeAt));
}

/** What the backup in `folder` says of itself. Throws {@link BackupError}. */
export async function readBackup(folder: string): Promise<Backup> {
  const text = await readFile(join(folder, MANIFEST), 'utf8').catch(() => undefined);
  if (text === undefined) throw new BackupError(`There is no ${MANIFEST} in ${folder}: it is no backup of ours.`);
  try {
    const read = JSON.parse(text) as Backup;
    if (read.format === FORMAT && Array.isArray(read.photos) && !Number.isNaN(Date.parse(read.madeAt))) return read;
  } catch {
    // Told below.
  }
  throw new BackupError(`${MANIFEST} in ${folder} cannot be read.`);
}

/** Where the picture called `photo` stands within a folder of pictures. */
export function photoPath(folder: string, photo: string): string {
  return join(folder, photo.slice(0, 2), `${photo}.jpg`);
}

/** SHA-256 of the file at `path`. */
export async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(path), hash);
  return hash.digest('hex');
}

function nameFor(madeAt: string): string {
  return madeAt.replace(/[:.]/g, '-');
}

function copyDatabase(from: string, to: string): void {
  const source = new Database(from, { readonly: true });
  try {
    source.exec(`vacuum into '${to.replaceAll("'", "''")}'`);
  } finally {
    source.close();
  }
}

/** What is in the copy, which is read through while it is at it. Throws {@link BackupError} where it is not whole. */
export function countsIn(file: string): { readonly jobs: number; readonly entries: number } {
  const copy = new Database(file, { readonly: true });
  try {
    const [found] = copy.prepare('pragma quick_check(1)').all() as readonly { readonly quick_check: string }[];
    if (found?.quick_check !== 'ok')
      throw new BackupError(`${file} is not whole: ${found?.quick_check ?? 'unreadable'}.`);
    const count = (table: string) =>
      (copy.prepare(`select count(*) as many from "${table}"`).get() as { readonly many: number }).many;
    return { jobs: count('job'), entries: count('ledger_entry') };
  } finally {
    copy.close();
  }
}

async function copyPhotos(from: string, to: string, progress: Progress): Promise<readonly string[]> {
  const photos: string[] = [];
  for (const shelf of await readdir(from).catch(() => [] as string[])) {
    if (!/^[0-9a-f]{2}$/.test(shelf)) continue;
    for (const name of await readdir(join(from, shelf))) {
      const photo = PHOTO.exec(name)?.[1];
      if (photo !== undefined) photos.push(photo);
    }
  }
  let fresh = 0;
  for (const [index, photo] of photos.entries()) {
    const [source, target] = [photoPath(from, photo), photoPath(to, photo)];
    if ((await sizeOf(target)) === (await sizeOf(source))) continue;
    const unfinished = `${target}.unfinished`;
    await mkdir(dirname(target), { recursive: true });
    await copyFile(source, unfinished);
    await toDisk(unfinished);
    if ((await hashOf(unfinished)) !== photo)
      throw new BackupError(`The picture ${photo} is not what its name says: it is damaged where it stands.`);
    await rename(unfinished, target);
    fresh += 1;
    if (fresh % 100 === 0) progress(`Picture ${index + 1} of ${photos.length}`);
  }
  progress(`${photos.length} pictures, ${fresh} of them new`);
  return photos.sort();
}

/** Removes the backups whose age is not kept, and the pictures that none of those left has. */
async function thinOut(into: string): Promise<void> {
  const all = await backupsIn(into);
  const kept = keptOf(all.map(({ backup }) => backup.madeAt));
  const gone = all.filter(({ backup }) => !kept.has(backup.madeAt));
  if (gone.length === 0) return;
  const needed = new Set(all.filter(({ backup }) => kept.has(backup.madeAt)).flatMap(({ backup }) => backup.photos));
  for (const { folder, backup } of gone) {
    await rm(folder, { recursive: true, force: true });
    for (const photo of backup.photos)
      if (!needed.has(photo)) await rm(photoPath(join(into, 'photos'), photo), { force: true });
  }
}

async function sizeOf(path: string): Promise<number | undefined> {
  return stat(path).then(
    ({ size }) => size,
    () => undefined,
  );
}

async function toDisk(path: string): Promise<void> {
  const file = await open(path, 'r+');
  try {
    await file.sync();
  } finally {
    await file.close();
  }
}

function wordsFor(error: unknown, into: string): string {
  const code = typeof error === 'object' && error !== null && 'code' in error ? error.code : undefined;
  if (code === 'ENOSPC' || code === 'EDQUOT') return `There is no room left in ${into}.`;
  if (code === 'EACCES' || code === 'EROFS' || code === 'ENOTDIR' || code === 'ENOENT')
    return `${into} cannot be written to. Is the drive there?`;
  return error instanceof Error ? error.message : String(error);
}
