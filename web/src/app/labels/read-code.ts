import { readLabel, type LabelCode } from '@brisk/core/labels';
import { BrowserQRCodeReader } from '@zxing/browser';
import { DecodeHintType } from '@zxing/library';

/** Edges at which a photo is looked at, one after the other: a small label in a large photo wants the large one. */
const EDGES_PX = [1_000, 1_800, 2_800];

const reader = () => new BrowserQRCodeReader(new Map([[DecodeHintType.TRY_HARDER, true]]));

/** The label in a photo, or undefined where none of ours can be read. */
export async function readFromPhoto(file: Blob): Promise<LabelCode | undefined> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  try {
    for (const edge of EDGES_PX) {
      const share = Math.min(1, edge / Math.max(bitmap.width, bitmap.height));
      const canvas = document.createElement('canvas');
      canvas.width = Math.max(1, Math.round(bitmap.width * share));
      canvas.height = Math.max(1, Math.round(bitmap.height * share));
      canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      const code = codeIn(canvas);
      if (code) return code;
      if (share === 1) return undefined;
    }
    return undefined;
  } finally {
    bitmap.close();
  }
}

function codeIn(canvas: HTMLCanvasElement): LabelCode | undefined {
  try {
    return readLabel(reader().decodeFromCanvas(canvas).getText());
  } catch {
    return undefined;
  }
}

/** Looks through the camera into `video` until a label of ours is seen. Returns how to stop. Throws without a camera. */
export async function watchCamera(video: HTMLVideoElement, seen: (code: LabelCode) => void): Promise<() => void> {
  const controls = await reader().decodeFromConstraints({ video: { facingMode: 'environment' } }, video, (result) => {
    const code = result && readLabel(result.getText());
    if (code) seen(code);
  });
  return () => controls.stop();
}
