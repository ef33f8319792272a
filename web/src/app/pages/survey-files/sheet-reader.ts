import { Injectable } from '@angular/core';
import type { ConnectionMap } from '@brisk/core/connection-map';
import type { DryRun, Mapping, Table } from '@brisk/core/exchange';
import type { Sheet } from '../../ui/csv';

/** What the worker is asked, and what it tells. The rows of a file stay with it. */
export type Asked =
  | { readonly what: 'read'; readonly bytes: ArrayBuffer }
  | {
      readonly what: 'try';
      readonly map: ConnectionMap;
      readonly table: Table;
      readonly mapping: Mapping;
      readonly mostBad: number;
    };
export type Told =
  | { readonly what: 'read'; readonly sheet: Sheet; readonly lines: number }
  | { readonly what: 'tried'; readonly run: Omit<DryRun, 'map'>; readonly badLines: number }
  | { readonly what: 'failed'; readonly words: string };

/** Reads spreadsheet files off the screen’s own thread. */
@Injectable({ providedIn: 'root' })
export class SheetReader {
  private worker: Worker | undefined;

  /** Asks the worker, starting it where it has not been started; a later question drops an earlier one’s answer. */
  async ask(asked: Asked): Promise<Told> {
    this.worker ??= (await import('./start-csv-worker')).startCsvWorker();
    const { worker } = this;
    return new Promise((resolve) => {
      worker.onmessage = ({ data }: MessageEvent<Told>) => resolve(data);
      worker.onerror = () => resolve({ what: 'failed', words: 'The file cannot be read.' });
      worker.postMessage(asked, asked.what === 'read' ? [asked.bytes] : []);
    });
  }
}
