import type { ConnectionMap } from '@brisk/core/connection-map';
import { readRows, type DryRun, type Mapping, type Row, type Table } from '@brisk/core/exchange';
import { readSheet, SheetError, type Sheet } from '../../ui/csv';

/** A file as far as the page needs it: its first lines, and how many there are. The rows stay with the worker. */
export interface SheetRead {
  readonly sheet: Sheet;
  readonly lines: number;
}
export interface SheetTried {
  readonly run: Omit<DryRun, 'map'>;
  readonly badLines: number;
}
/** Why a file cannot be read, in words. */
export interface SheetFailed {
  readonly failed: string;
}

/** What is done with a spreadsheet file. */
export interface SheetWork {
  read(bytes: ArrayBuffer): SheetRead | SheetFailed;
  /** What the rows of the file read last would do to `map`. */
  tryOn(map: ConnectionMap, table: Table, mapping: Mapping, mostBad: number): SheetTried;
}

let rows: readonly Row[] = [];

/** The work itself, on whichever thread; the rows of the file read last stay here. */
export const sheetWork: SheetWork = {
  read(bytes) {
    try {
      const sheet = readSheet(bytes);
      rows = sheet.rows;
      return { sheet: { ...sheet, rows: sheet.rows.slice(0, 3) }, lines: sheet.rows.length };
    } catch (error) {
      if (error instanceof SheetError) return { failed: error.message };
      throw error;
    }
  },
  tryOn(map, table, mapping, mostBad) {
    const { map: _map, ...run } = readRows(map, table, mapping, rows);
    return { run: { ...run, bad: run.bad.slice(0, mostBad) }, badLines: run.bad.length };
  },
};
