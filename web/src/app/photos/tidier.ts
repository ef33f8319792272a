import { Injectable } from '@angular/core';
import type { WorkerLine } from '../ui/worker-line';
import type { TidiedPhoto } from './tidied';
import type { TidyWork } from './tidy.worker';

/** Makes pictures ready in a worker, so that the page goes on while twelve megapixels are unpacked. */
@Injectable({ providedIn: 'root' })
export class Tidier {
  private line: Promise<WorkerLine<TidyWork>> | undefined;

  /** The picture in `file`, or undefined where there is none in it that can be read whole. */
  async tidy(file: Blob): Promise<TidiedPhoto | undefined> {
    this.line ??= this.start();
    try {
      return await (await this.line).ask((work) => work.tidied(file));
    } catch {
      return undefined;
    }
  }

  private async start(): Promise<WorkerLine<TidyWork>> {
    const [{ lineTo }, { startTidyWorker }] = await Promise.all([
      import('../ui/worker-line'),
      import('./start-tidy-worker'),
    ]);
    return lineTo<TidyWork>(startTidyWorker());
  }
}
