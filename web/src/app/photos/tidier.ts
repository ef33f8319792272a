import { Injectable } from '@angular/core';
import type { TidiedPhoto } from './tidied';

/** Makes pictures ready in a worker, so that the page goes on while twelve megapixels are unpacked. */
@Injectable({ providedIn: 'root' })
export class Tidier {
  private worker: Promise<Worker> | undefined;
  private asked = 0;
  private readonly waiting = new Map<number, (photo: TidiedPhoto | undefined) => void>();

  /** The picture in `file`, or undefined where there is none in it that can be read whole. */
  async tidy(file: Blob): Promise<TidiedPhoto | undefined> {
    this.worker ??= this.start();
    const worker = await this.worker;
    this.asked += 1;
    const id = this.asked;
    return new Promise((resolve) => {
      this.waiting.set(id, resolve);
      worker.postMessage({ id, file });
    });
  }

  private async start(): Promise<Worker> {
    const { startTidyWorker } = await import('./start-tidy-worker');
    const worker = startTidyWorker();
    worker.addEventListener(
      'message',
      ({ data }: MessageEvent<{ readonly id: number; readonly photo?: TidiedPhoto }>) => {
        this.waiting.get(data.id)?.(data.photo);
        this.waiting.delete(data.id);
      },
    );
    worker.addEventListener('error', () => {
      for (const give of this.waiting.values()) give(undefined);
      this.waiting.clear();
    });
    return worker;
  }
}
