/** A picture that can be drawn, and its size in its own pixels. */
export interface Pictured {
  readonly image: HTMLImageElement | HTMLCanvasElement;
  readonly width: number;
  readonly height: number;
}

/** The picture at `address`, decoded. Fails where there is none. */
export async function pictureAt(address: string): Promise<Pictured> {
  const image = new Image();
  image.src = address;
  await image.decode();
  return { image, width: image.naturalWidth, height: image.naturalHeight };
}
