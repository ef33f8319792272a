import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { MOST_LITERATURE } from '@brisk/core/literature';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { badInput, ProblemError } from '../http/problem.js';
import { LiteratureStore } from '../literature/literature-store.js';
import { readLiterature, typeOf } from '../literature/read-literature.js';
import { photoFile } from '../photos/photo-file.js';
import { PhotoStore } from '../photos/photo-store.js';
import type { ShelfName } from '../shelf/shelf-files.js';
import { readBundle, type ReadBundle } from './read-bundle.js';
import { BUNDLE_FILE } from './write-zip.js';

const FILE = /^(photos|literature)\/([0-9a-f]{64}\.(?:jpg|pdf|txt))$/;
/** What a file may unpack to, so that a small one cannot fill the memory or the disk. */
const MOST = {
  bundleBytes: 24_000_000,
  shelfBytes: { photos: 12_000_000, literature: MOST_LITERATURE.fileBytes },
  entries: 3_070,
  bytes: 800_000_000,
} as const;
/** A picture is packed already; one that unpacks to so many times its size is none. */
const MOST_TIMES = 4;

/** A bundle with its files as it was sent, and the folder in which they are put on shelves until it is taken in. */
export interface ZipToRead {
  readonly path: string;
  readonly filesInto: string;
}

/** Reads what `zipBundle` wrote, one file at a time. Throws `bad-input` for anything else, `too-large` for too much. */
export async function readZip({ path, filesInto }: ZipToRead): Promise<ReadBundle> {
  const zip = await opened(path);
  try {
    const entries = await measured(zip);
    const written = entries.find(({ fileName }) => fileName === BUNDLE_FILE);
    if (!written)
      badInput([{ field: 'file', words: `There is no ${BUNDLE_FILE} in that file; it is not a job bundle of ours.` }]);
    const bundle = readBundle(await unpacked(zip, written));
    const photos = new PhotoStore(join(filesInto, 'photos'));
    const literature = new LiteratureStore(join(filesInto, 'literature'));
    /** Keeps one file; gives back the name its contents give it. */
    const keep: Readonly<Record<ShelfName, (bytes: Buffer, name: string) => Promise<string>>> = {
      photos: async (bytes) => photoFile((await photos.keep(bytes)).photo),
      literature: async (bytes, name) =>
        (await literature.keep(await readLiterature({ bytes, as: typeOf(name) }))).file,
    };
    for (const entry of entries) {
      const [, shelf, name] = FILE.exec(entry.fileName) ?? [];
      if (shelf === undefined || name === undefined) continue;
      if ((await keep[shelf as ShelfName](await unpacked(zip, entry), name)) !== name)
        badInput([
          { field: 'file', words: 'A picture or file in there is not the one its name says. Nothing was taken in.' },
        ]);
    }
    return bundle;
  } finally {
    zip.close();
  }
}

async function opened(path: string): Promise<ZipFile> {
  try {
    return await openPromise(path, { lazyEntries: true, autoClose: false });
  } catch {
    return notOurs();
  }
}

/** What of the file is ours, after it has been looked at what it would unpack to. */
async function measured(zip: ZipFile): Promise<readonly Entry[]> {
  if (zip.entryCount > MOST.entries) tooMuch();
  const entries: Entry[] = [];
  let bytes = 0;
  try {
    for await (const entry of zip.eachEntry()) {
      const shelf = FILE.exec(entry.fileName)?.[1] as ShelfName | undefined;
      if (!shelf && entry.fileName !== BUNDLE_FILE) continue;
      const { uncompressedSize, compressedSize } = entry;
      bytes += uncompressedSize;
      if (
        uncompressedSize > (shelf ? MOST.shelfBytes[shelf] : MOST.bundleBytes) ||
        (shelf === 'photos' && uncompressedSize > compressedSize * MOST_TIMES + 1_000) ||
        bytes > MOST.bytes
      )
        tooMuch();
      entries.push(entry);
    }
  } catch (error) {
    if (error instanceof ProblemError) throw error;
    notOurs();
  }
  if (overlap(entries)) notOurs();
  return entries;
}

/** Whether two entries would be read from the same bytes, so that a few bytes could stand for many files. */
function overlap(entries: readonly Entry[]): boolean {
  const inOrder = [...entries].sort(
    (one, other) => one.relativeOffsetOfLocalHeader - other.relativeOffsetOfLocalHeader,
  );
  return inOrder.some((entry, index) => {
    const next = inOrder[index + 1];
    return (
      next !== undefined && entry.relativeOffsetOfLocalHeader + entry.compressedSize > next.relativeOffsetOfLocalHeader
    );
  });
}

/** One entry whole; it is given up as soon as it holds more than it said. */
async function unpacked(zip: ZipFile, entry: Entry): Promise<Buffer> {
  try {
    return await buffer(await zip.openReadStreamPromise(entry));
  } catch {
    return notOurs();
  }
}

function tooMuch(): never {
  throw new ProblemError('too-large', 'There is more in that file than this takes at once. Nothing was taken in.');
}

function notOurs(): never {
  badInput([{ field: 'file', words: 'That file breaks off or is not a job bundle of ours. Nothing was taken in.' }]);
}
