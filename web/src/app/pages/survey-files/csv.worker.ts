/// <reference lib="webworker" />
import { readRows, type Row } from '@brisk/core/exchange';
import { readSheet, SheetError } from '../../ui/csv';
import type { Asked, Told } from './sheet-reader';

let rows: readonly Row[] = [];

function answer(asked: Asked): Told {
  if (asked.what === 'read') {
    const sheet = readSheet(asked.bytes);
    rows = sheet.rows;
    return { what: 'read', sheet: { ...sheet, rows: sheet.rows.slice(0, 3) }, lines: sheet.rows.length };
  }
  const { map: _map, ...run } = readRows(asked.map, asked.table, asked.mapping, rows);
  return { what: 'tried', run: { ...run, bad: run.bad.slice(0, asked.mostBad) }, badLines: run.bad.length };
}

addEventListener('message', ({ data }: MessageEvent<Asked>) => {
  try {
    postMessage(answer(data));
  } catch (error) {
    postMessage({ what: 'failed', words: error instanceof SheetError ? error.message : 'The file cannot be read.' });
  }
});
