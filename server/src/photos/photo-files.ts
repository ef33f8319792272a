import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { open, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';

const PHOTO = /^([0-9a-f]{64})\.jpg$/;

/** Where the picture called `photo` stands within a folder of pictures. */
export function photoPath(folder: string, photo: string): string {
  return join(folder, photo.slice(0, 2), `${photo}.jpg`);
}

/** The pictures within a folder, in order of their names; none where there is no such folder. */
export async function photosIn(folder: string): Promise<readonly string[]> {
  const shelves = (await readdir(folder).catch(() => [] as string[])).filter((name) => /^[0-9a-f]{2}$/.test(name));
  const names = await Promise.all(shelves.map((shelf) => readdir(join(folder, shelf))));
  return names
    .flat()
    .flatMap((name) => PHOTO.exec(name)?.[1] ?? [])
    .sort();
}

/** SHA-256 of the file at `path`. */
export async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(path), hash);
  return hash.digest('hex');
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
