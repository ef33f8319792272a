import { bareJpeg } from '@brisk/core/photos';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** A picture ready to be kept: upright, of a sensible size, without place or camera, named by its contents. */
export interface TidiedPhoto {
  readonly photo: string;
  readonly blob: Blob;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Longest edge of a kept picture: enough to read a casting mark on it; the server asks for no more. */
const LONGEST_PX = 2_560;
const QUALITY = 0.82;

/**
 * Makes a camera’s picture ready to be kept. Drawing it anew turns it as the camera meant it and leaves out everything
 * said beside the picture. Throws where `file` is no picture, or breaks off. Meant to run in a worker.
 */
export async function tidied(file: Blob): Promise<TidiedPhoto> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const share = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const widthPx = Math.max(1, Math.round(bitmap.width * share));
  const heightPx = Math.max(1, Math.round(bitmap.height * share));
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser cannot draw pictures.');
  pen.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  const drawn = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
  const bytes = new Uint8Array(await drawn.arrayBuffer());
  // Some browsers write notes of their own into it; the server would take those away, and call it something else.
  const bare = bareJpeg(bytes) ?? bytes;
  const blob = new Blob([new Uint8Array(bare)], { type: 'image/jpeg' });
  return { photo: bytesToHex(sha256(bare)), blob, widthPx, heightPx };
}
