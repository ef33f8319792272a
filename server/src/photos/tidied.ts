import { isBareJpeg } from '@brisk/core/photos';
import { ProblemError } from '../http/problem.js';

const QUALITY = 82;
/** More than any camera of a shop takes; a file that says so is refused before it is unpacked. */
export const MOST_PIXELS = 120_000_000;
const KINDS = new Set(['jpeg', 'png', 'webp', 'avif', 'heif', 'gif', 'tiff']);

/** A picture as it is kept, and its size. */
export interface Tidied {
  readonly data: Buffer;
  readonly info: { readonly width: number; readonly height: number };
}

/**
 * The picture in `bytes`, upright, its longer edge no more than `longestPx`, without anything said beside the picture
 * itself. Throws `bad-input` for what is no picture.
 */
export async function tidied(bytes: Buffer, longestPx: number): Promise<Tidied> {
  // Loaded with the first picture: most starts of the server see none.
  const { default: sharp } = await import('sharp');
  try {
    const read = sharp(bytes, { failOn: 'error', limitInputPixels: MOST_PIXELS });
    const { format, width = 0, height = 0 } = await read.metadata();
    if (!KINDS.has(format)) throw new Error(format);
    const asItIs = isBareJpeg(bytes) && Math.max(width, height) <= longestPx;
    const upright = read
      .rotate()
      .resize({ width: longestPx, height: longestPx, fit: 'inside', withoutEnlargement: true });
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
