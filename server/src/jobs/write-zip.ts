import { readFile } from 'node:fs/promises';
import type { Writable } from 'node:stream';
import { once } from 'node:events';
import type { Bundle } from '@brisk/contracts/bundle';
import { Zip, ZipPassThrough, strToU8 } from 'fflate';
import type { PhotoStore } from '../photos/photo-store.js';

/** Name of the bundle within the file; the photos stand beside it, each under its hash. */
export const BUNDLE_FILE = 'job.brisk.json';

/** Writes a bundle and its photos to `out` as one ZIP, picture by picture. Photos that are not here are left out. */
export async function zipBundle(
  bundle: Bundle,
  photos: Iterable<string>,
  store: PhotoStore,
  out: Writable,
): Promise<void> {
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
  for (const photo of photos) {
    const path = await store.file(photo).catch(() => undefined);
    if (path !== undefined) await add(`photos/${photo}.jpg`, await readFile(path));
  }
  zip.end();
  out.end();
}
