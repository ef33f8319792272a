import { rm, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { KeptPhoto } from '@brisk/contracts/house';
import { oneAtATime } from '../jobs/one-at-a-time.js';
import { photoFile } from './photo-file.js';
import { MOST_PIXELS, tidied } from './tidied.js';
import { isThere, Shelf } from '../shelf/shelf.js';
import { hashOfBytes, putWhole } from '../shelf/shelf-files.js';

/** Longest edge of a kept picture: enough to read a casting mark on it, and not more. */
const LONGEST_PX = 2_560;
const SMALL_PX = 360;
const WORDS = {
  notHere: 'That picture is not here.',
  diskFull:
    'The disk of the server is full: the picture was not kept there. It stays on your device; make room and it is sent again.',
};

/** Pictures on their shelf. What is kept is upright, of a sensible size, and carries neither place nor camera. */
export class PhotoStore {
  readonly #inTurn = oneAtATime();
  #waiting = 0;
  readonly shelf: Shelf;

  constructor(
    private readonly folder: string,
    put: typeof putWhole = putWhole,
  ) {
    this.shelf = new Shelf(folder, WORDS, put);
  }

  /** Pictures that are being looked at, or wait for it. */
  get waiting(): number {
    return this.#waiting;
  }

  /** Keeps the picture in `bytes`. Throws `bad-input` for what is none or is cut short, `no-room` for a full disk. */
  async keep(bytes: Buffer): Promise<KeptPhoto> {
    // Unpacked, a picture takes many times its size: one at a time.
    this.#waiting += 1;
    const { data, info } = await this.#inTurn('picture', () => tidied(bytes, LONGEST_PX)).finally(
      () => (this.#waiting -= 1),
    );
    const photo = hashOfBytes(data);
    if (await this.shelf.keep(photoFile(photo), data)) await rm(this.smallPath(photo), { force: true });
    return { photo, widthPx: info.width, heightPx: info.height, bytes: data.length };
  }

  /** The file of a picture. Throws `not-found`. */
  async file(photo: string): Promise<string> {
    return this.shelf.file(photoFile(photo));
  }

  /** The file of a small copy of a picture, made when it is first asked for. Throws `not-found`. */
  async smallFile(photo: string): Promise<string> {
    const path = this.smallPath(photo);
    if (await isThere(path)) return path;
    const whole = await readFile(await this.file(photo));
    const { default: sharp } = await import('sharp');
    const small = await this.#inTurn('picture', () =>
      sharp(whole, { limitInputPixels: MOST_PIXELS })
        .resize({ width: SMALL_PX, height: SMALL_PX, fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality: 70 })
        .toBuffer(),
    );
    await this.shelf.write(path, small);
    return path;
  }

  /** Removes the small copies of pictures that are gone. */
  async forgetSmall(photos: Iterable<string>): Promise<void> {
    for (const photo of photos) await rm(this.smallPath(photo), { force: true });
  }

  private smallPath(photo: string): string {
    return join(this.folder, 'small', photoFile(photo));
  }
}
