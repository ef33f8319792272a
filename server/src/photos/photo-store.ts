import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, readFile, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { KeptPhoto } from '@brisk/contracts/house';
import sharp from 'sharp';
import { ProblemError } from '../http/problem.js';

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
  constructor(
    private readonly folder: string,
    private readonly put: typeof putWhole = putWhole,
  ) {}

  /** Keeps the picture in `bytes`. Throws `bad-input` for what is none or is cut short, `no-room` for a full disk. */
  async keep(bytes: Buffer): Promise<KeptPhoto> {
    const { data, info } = await tidied(bytes);
    const photo = createHash('sha256').update(data).digest('hex');
    await this.write(this.path(photo), data);
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
    const path = join(this.folder, 'small', `${photo}.jpg`);
    if (await isThere(path)) return path;
    const whole = await readFile(await this.file(photo));
    const small = await sharp(whole)
      .resize({ width: SMALL_PX, height: SMALL_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 70 })
      .toBuffer();
    await this.write(path, small);
    return path;
  }

  private path(photo: string): string {
    return join(this.folder, photo.slice(0, 2), `${photo}.jpg`);
  }

  private async write(path: string, data: Buffer): Promise<void> {
    if (await isThere(path)) return;
    try {
      await this.put(path, data);
    } catch (error) {
      const code = error instanceof Error && 'code' in error ? error.code : undefined;
      if (code === 'ENOSPC' || code === 'EDQUOT')
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
    await rename(unfinished, path);
  } catch (error) {
    await rm(unfinished, { force: true });
    throw error;
  }
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
    const { format, width = 0, height = 0, exif, iptc, xmp, orientation = 1 } = await read.metadata();
    if (!KINDS.has(format)) throw new Error(format);
    const asItIs =
      format === 'jpeg' && !exif && !iptc && !xmp && orientation === 1 && Math.max(width, height) <= LONGEST_PX;
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
