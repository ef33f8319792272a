import { createHash, randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';

const NAME = /^[0-9a-f]{64}\.(jpg|pdf|txt)$/;

/** The shelves there are, by the names of their folders: in the data, in a backup, and in a bundle. */
export const SHELVES = ['photos', 'literature'] as const;
export type ShelfName = (typeof SHELVES)[number];

/** Where the file called `name`, its hash and its ending, stands within the folder of a shelf. */
export function pathOn(folder: string, name: string): string {
  return join(folder, name.slice(0, 2), name);
}

/** The SHA-256 that the file called `name` has to have. */
export function hashIn(name: string): string {
  return name.slice(0, 64);
}

/** The names of the files on a shelf, in order; none where there is no such folder. */
export async function namesOn(folder: string): Promise<readonly string[]> {
  const boards = (await readdir(folder).catch(() => [] as string[])).filter((name) => /^[0-9a-f]{2}$/.test(name));
  const names = await Promise.all(boards.map((board) => readdir(join(folder, board))));
  return names
    .flat()
    .filter((name) => NAME.test(name))
    .sort();
}

/** SHA-256 of the file at `path`. */
export async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(path), hash);
  return hash.digest('hex');
}

/** SHA-256 of `data`. */
export function hashOfBytes(data: Uint8Array): string {
  return createHash('sha256').update(data).digest('hex');
}

/** Has what was written to `path`, a file or a folder, on the disk before anything else goes on. */
export async function toDisk(path: string): Promise<void> {
  const file = await open(path, 'r');
  try {
    await file.sync();
  } finally {
    await file.close();
  }
}

/** Puts `data` at `path`, whole and on the disk, or not at all. */
export async function putWhole(path: string, data: Uint8Array): Promise<void> {
  const unfinished = `${path}.${randomUUID()}`;
  try {
    await mkdir(dirname(path), { recursive: true });
    const file = await open(unfinished, 'wx');
    try {
      await file.writeFile(data);
      await file.sync();
    } finally {
      await file.close();
    }
    await moveTo(unfinished, path);
  } catch (error) {
    await rm(unfinished, { force: true });
    throw error;
  }
}

/** Moves a file within a disk; that it is there is on the disk as well, and not only what is in it. */
export async function moveTo(from: string, to: string): Promise<void> {
  await mkdir(dirname(to), { recursive: true });
  await rename(from, to);
  for (const folder of [dirname(to), dirname(dirname(to))]) await toDisk(folder);
}
