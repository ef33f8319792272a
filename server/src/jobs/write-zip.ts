import { readFile } from 'node:fs/promises';
import type { Writable } from 'node:stream';
import { once } from 'node:events';
import type { Bundle } from '@brisk/contracts/bundle';
import { Zip, ZipPassThrough, strToU8 } from 'fflate';
import type { Shelf } from '../shelf/shelf.js';
import type { ShelfName } from '../shelf/shelf-files.js';

/** Name of the bundle within the file; its photos and its literature stand beside it, each under its hash. */
export const BUNDLE_FILE = 'job.brisk.json';

/** Files that go with a bundle: the shelf they stand on, and their names. */
export interface FilesOfBundle {
  readonly named: ShelfName;
  readonly shelf: Shelf;
  readonly names: Iterable<string>;
}

/** Writes a bundle and its files to `out` as one ZIP, file by file. Those that are not here are left out. */
export async function zipBundle(bundle: Bundle, files: readonly FilesOfBundle[], out: Writable): Promise<void> {
  const failed: Error[] = [];
  const zip = new Zip((error, piece) => {
    if (error) failed.push(error);
    else out.write(piece);
  });
  const add = async (name: string, data: Uint8Array) => {
    const file = new ZipPassThrough(name);
    zip.add(file);
    file.push(data, true);
    if (failed[0]) throw failed[0];
    if (out.writableNeedDrain) await once(out, 'drain');
  };
  await add(BUNDLE_FILE, strToU8(JSON.stringify(bundle)));
  for (const { named, shelf, names } of files)
    for (const name of names) {
      const path = await shelf.file(name).catch(() => undefined);
      if (path !== undefined) await add(`${named}/${name}`, await readFile(path));
    }
  zip.end();
  out.end();
}
