import { readFile } from 'node:fs/promises';
import type { Writable } from 'node:stream';
import { once } from 'node:events';
import type { Bundle } from '@brisk/contracts/bundle';
import { unzipSync, Zip, ZipPassThrough, strFromU8, strToU8, type Unzipped } from 'fflate';
import { badInput, ProblemError } from '../http/problem.js';
import type { PhotoStore } from '../photos/photo-store.js';

/** Name of the bundle within the file; the photos stand beside it, each under its hash. */
const BUNDLE = 'job.brisk.json';
const PHOTO = /^photos\/([0-9a-f]{64})\.jpg$/;
/** What a file may unpack to, so that a small one cannot fill the memory. */
const MOST = { bundleBytes: 24_000_000, photoBytes: 12_000_000, photos: 3_000, bytes: 800_000_000 } as const;
/** A picture is packed already; one that unpacks to so many times its size is none. */
const MOST_TIMES = 4;

/** A bundle with the photos of its job, as it was unpacked. */
export interface UnpackedBundle {
  readonly bundle: unknown;
  readonly photos: ReadonlyMap<string, Uint8Array>;
}

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
  await add(BUNDLE, strToU8(JSON.stringify(bundle)));
  for (const photo of photos) {
    const path = await store.file(photo).catch(() => undefined);
    if (path !== undefined) await add(`photos/${photo}.jpg`, await readFile(path));
  }
  zip.end();
  out.end();
}

/** Unpacks what {@link zipBundle} wrote. Throws `bad-input` for anything else, `too-large` for what would be too much. */
export function unzipBundle(bytes: Uint8Array): UnpackedBundle {
  let photos = 0;
  let bytesInAll = 0;
  let files: Unzipped;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, size, originalSize }) => {
        const isPhoto = PHOTO.test(name);
        if (!isPhoto && name !== BUNDLE) return false;
        if (isPhoto) photos += 1;
        bytesInAll += originalSize;
        if (
          originalSize > (isPhoto ? MOST.photoBytes : MOST.bundleBytes) ||
          (isPhoto && originalSize > size * MOST_TIMES + 1_000) ||
          photos > MOST.photos ||
          bytesInAll > MOST.bytes
        )
          throw new ProblemError(
            'too-large',
            'There is more in that file than this takes at once. Nothing was taken in.',
          );
        return true;
      },
    });
  } catch (error) {
    if (error instanceof ProblemError) throw error;
    badInput([{ field: 'file', words: 'That file breaks off or is not a job bundle of ours. Nothing was taken in.' }]);
  }
  const written = files[BUNDLE];
  if (!written)
    badInput([{ field: 'file', words: `There is no ${BUNDLE} in that file; it is not a job bundle of ours.` }]);
  return { bundle: parsed(written), photos: photosIn(files) };
}

function parsed(written: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(written));
  } catch {
    return badInput([{ field: 'file', words: 'The bundle in that file breaks off. Nothing was taken in.' }]);
  }
}

function photosIn(files: Unzipped): ReadonlyMap<string, Uint8Array> {
  return new Map(
    Object.entries(files).flatMap(([name, data]) => {
      const photo = PHOTO.exec(name)?.[1];
      return photo === undefined ? [] : [[photo, data] as const];
    }),
  );
}

/** Keeps the photos of a bundle. Throws `bad-input` where one is not the picture its name says. */
export async function keepPhotos({ photos }: UnpackedBundle, store: PhotoStore): Promise<void> {
  for (const [name, data] of photos) {
    const { photo } = await store.keep(Buffer.from(data));
    if (photo !== name)
      badInput([{ field: 'file', words: 'A photo in that file is not the one its name says. Nothing was taken in.' }]);
  }
}
