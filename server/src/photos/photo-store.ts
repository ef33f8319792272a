import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, readFile, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { KeptPhoto } from '@brisk/contracts/house';
import { isBareJpeg } from '@brisk/core/photos';
import sharp from 'sharp';
import { isDiskFull } from '../http/disk-full.js';
import { ProblemError } from '../http/problem.js';
import { oneAtATime } from '../jobs/one-at-a-time.js';
import { hashOf, photoPath, photosIn, toDisk } from './photo-files.js';

/** Longest edge of a kept picture: enough to read a casting mark on it, and not more. */
const LONGEST_PX = 2_560;
const SMALL_PX = 360;
const QUALITY = 82;
/** More than any camera of a shop takes; a file that says so is refused before it is unpacked. */
const MOST_PIXELS = 120_000_000;
const KINDS = new Set(['jpeg', 'png', 'webp', 'avif', 'heif', 'gif', 'tiff']);

/**
 * Pictures in a folder beside the database, each named by the hash of its contents, so that the same one sent again is
 * the same one. What is kept is upright, of a sensible size, and carries neither place nor camera.
 */
export class PhotoStore {
  readonly #inTurn = oneAtATime();
  #waiting = 0;

  constructor(
    private readonly folder: string,
    private readonly put: typeof putWhole = putWhole,
  ) {}

  /** Pictures that are being looked at, or wait for it. */
  get waiting(): number {
    return this.#waiting;
  }

  /** Keeps the picture in `bytes`. Throws `bad-input` for what is none or is cut short, `no-room` for a full disk. */
  async keep(bytes: Buffer): Promise<KeptPhoto> {
    // Unpacked, a picture takes many times its size: one at a time.
    this.#waiting += 1;
    const { data, info } = await this.#inTurn('picture', () => tidied(bytes)).finally(() => (this.#waiting -= 1));
    const photo = createHash('sha256').update(data).digest('hex');
    const path = this.path(photo);
    // One that got damaged where it is kept is put right by whoever sends it again.
    if (!(await holds(path, photo))) {
      await this.write(path, data);
      await rm(this.smallPath(photo), { force: true });
    }
    return { photo, widthPx: info.width, heightPx: info.height, bytes: data.length };
  }

  /** The file of a picture. Throws `not-found`. */
  async file(photo: string): Promise<string> {
    const path = this.path(photo);
    if (!(await isThere(path))) throw new ProblemError('not-found', 'That picture is not here.');
    return path;
  }

  /** The file of a small copy of a picture, made when it is first asked for. Throws `not-found`. */
  async smallFile(photo: string): Promise<string> {
    const path = this.smallPath(photo);
    if (await isThere(path)) return path;
    const whole = await readFile(await this.file(photo));
    const small = await this.#inTurn('picture', () =>
      sharp(whole, { limitInputPixels: MOST_PIXELS })
        .resize({ width: SMALL_PX, height: SMALL_PX, fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality: 70 })
        .toBuffer(),
    );
    await this.write(path, small);
    return path;
  }

  private path(photo: string): string {
    return photoPath(this.folder, photo);
  }

  private smallPath(photo: string): string {
    return join(this.folder, 'small', `${photo}.jpg`);
  }

  /** Takes over the pictures that another store put into `folder`, a folder of the same disk. */
  async takeOver(folder: string): Promise<void> {
    for (const photo of await photosIn(folder)) {
      const path = this.path(photo);
      if (!(await holds(path, photo))) await moveTo(photoPath(folder, photo), path);
    }
  }

  /** Removes pictures that no record names. */
  async forget(photos: Iterable<string>): Promise<void> {
    for (const photo of photos)
      for (const path of [this.path(photo), this.smallPath(photo)]) await rm(path, { force: true });
  }

  /** Every picture here, with when it came (ms since 1970). */
  async all(): Promise<ReadonlyMap<string, number>> {
    const photos = await photosIn(this.folder);
    return new Map(
      await Promise.all(photos.map(async (photo) => [photo, (await stat(this.path(photo))).mtimeMs] as const)),
    );
  }

  private async write(path: string, data: Buffer): Promise<void> {
    try {
      await this.put(path, data);
    } catch (error) {
      if (isDiskFull(error))
        throw new ProblemError(
          'no-room',
          'The disk of the server is full: the picture was not kept there. It stays on your device; make room and it is sent again.',
        );
      throw error;
    }
  }
}

/** Puts `data` at `path`, whole and on the disk, or not at all. */
export async function putWhole(path: string, data: Buffer): Promise<void> {
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
async function moveTo(from: string, to: string): Promise<void> {
  await mkdir(dirname(to), { recursive: true });
  await rename(from, to);
  for (const folder of [dirname(to), dirname(dirname(to))]) await toDisk(folder);
}

/** Whether the file at `path` is the picture called `photo`, whole. */
async function holds(path: string, photo: string): Promise<boolean> {
  return hashOf(path).then(
    (hash) => hash === photo,
    () => false,
  );
}

async function isThere(path: string): Promise<boolean> {
  try {
    return (await stat(path)).isFile();
  } catch {
    return false;
  }
}

/** The picture in `bytes`, upright, no larger than it needs to be, without anything said beside the picture itself. */
async function tidied(bytes: Buffer) {
  try {
    const read = sharp(bytes, { failOn: 'error', limitInputPixels: MOST_PIXELS });
    const { format, width = 0, height = 0 } = await read.metadata();
    if (!KINDS.has(format)) throw new Error(format);
    const asItIs = isBareJpeg(bytes) && Math.max(width, height) <= LONGEST_PX;
    const upright = read
      .rotate()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true });
    const made = await upright.jpeg({ quality: QUALITY }).toBuffer({ resolveWithObject: true });
    // A picture that a device has tidied already is kept to the byte, so that its hash is the one the device worked out.
    return asItIs ? { data: bytes, info: { width, height } } : made;
  } catch (error) {
    if (error instanceof ProblemError) throw error;
    throw new ProblemError(
      'bad-input',
      'That is not a picture this can read, or it was cut short on the way. Nothing was kept; take it again or pick another file.',
      { errors: [{ field: 'photo', words: 'A whole JPEG, PNG, WebP or HEIC picture is needed.' }] },
    );
  }
}
