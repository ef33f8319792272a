import type { Frame } from '@brisk/core/bay';

/** A frame as the view box of a picture. */
export function viewBoxOf({ u, v }: Frame): string {
  return `${u[0]} ${v[0]} ${u[1] - u[0]} ${v[1] - v[0]}`;
}

/** How many mm one pixel of the screen is, where a frame is shown whole in `width` by `height` pixels. */
export function mmAPixel(
  { u, v }: Frame,
  { width, height }: { readonly width: number; readonly height: number },
): number {
  return Math.max((u[1] - u[0]) / width, (v[1] - v[0]) / Math.max(height, 1));
}
