import { Injectable } from '@angular/core';
import type { ConnectionMap } from '@brisk/core/connection-map';
import type { Mapping, Table } from '@brisk/core/exchange';
import { bytesOf, SheetError } from '../../ui/csv';
import type { WorkerLine } from '../../ui/worker-line';
import type { SheetFailed, SheetRead, SheetTried, SheetWork } from './sheet-work';

const FAILED: SheetFailed = { failed: 'The file cannot be read.' };

/** Reads spreadsheet files off the screen’s own thread. */
@Injectable({ providedIn: 'root' })
export class SheetReader {
  private line: Promise<WorkerLine<SheetWork>> | undefined;

  /** Reads a file; its rows stay with the worker until the next one. */
  async read(file: File): Promise<SheetRead | SheetFailed> {
    try {
      const bytes = await bytesOf(file);
      return await this.asked((line) => line.ask<SheetRead | SheetFailed>((work) => work.read(bytes)));
    } catch (error) {
      return error instanceof SheetError ? { failed: error.message } : FAILED;
    }
  }

  /** What the rows of the file read last would do to `map`, with at most `mostBad` of the lines that cannot be taken. */
  tryOn(map: ConnectionMap, table: Table, mapping: Mapping, mostBad: number): Promise<SheetTried | SheetFailed> {
    return this.asked((line) => line.ask((work) => work.tryOn(map, table, mapping, mostBad)));
  }

  private async asked<Answer>(ask: (line: WorkerLine<SheetWork>) => Promise<Answer>): Promise<Answer | SheetFailed> {
    try {
      this.line ??= this.start();
      return await ask(await this.line);
    } catch {
      // A worker that broke down is started anew with the next file.
      this.line = undefined;
      return FAILED;
    }
  }

  private async start(): Promise<WorkerLine<SheetWork>> {
    const [{ lineTo }, { startCsvWorker }] = await Promise.all([
      import('../../ui/worker-line'),
      import('./start-csv-worker'),
    ]);
    return lineTo<SheetWork>(startCsvWorker());
  }
}
