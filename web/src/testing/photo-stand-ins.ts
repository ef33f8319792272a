import type { PhotoShelf } from '../app/photos/photo-shelf';
import type { TidiedPhoto } from '../app/photos/tidied';
import type { Tidier } from '../app/photos/tidier';

/** A shelf that forgets when the test is over; it can be made full. */
export class ShelfInMemory implements Pick<PhotoShelf, 'put' | 'get' | 'remove' | 'names'> {
  readonly pictures = new Map<string, Blob>();
  full = false;

  put(photo: string, blob: Blob): Promise<void> {
    if (this.full) return Promise.reject(new DOMException('No room', 'QuotaExceededError'));
    this.pictures.set(photo, blob);
    return Promise.resolve();
  }

  get(photo: string): Promise<Blob | undefined> {
    return Promise.resolve(this.pictures.get(photo));
  }

  remove(photo: string): Promise<void> {
    this.pictures.delete(photo);
    return Promise.resolve();
  }

  names(): Promise<readonly string[]> {
    return Promise.resolve([...this.pictures.keys()]);
  }
}

/** Takes a file for a picture by its name alone, since jsdom draws none. */
export class PlainTidier implements Pick<Tidier, 'tidy'> {
  private made = 0;

  tidy(file: Blob): Promise<TidiedPhoto | undefined> {
    this.made += 1;
    const isPicture = file instanceof File && /\.(jpe?g|png)$/.test(file.name);
    return Promise.resolve(
      isPicture
        ? { photo: this.made.toString(16).padStart(64, '0'), blob: file, widthPx: 400, heightPx: 300 }
        : undefined,
    );
  }
}
