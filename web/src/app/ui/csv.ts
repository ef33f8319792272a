import type { Row } from '@brisk/core/exchange';
import { parse, unparse } from 'papaparse';

/** A spreadsheet file as read: how it was written, its headings, its lines. */
export interface Sheet {
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252';
  readonly delimiter: string;
  readonly headings: readonly string[];
  readonly rows: readonly Row[];
}

/** Why a file cannot be read as a spreadsheet; `message` is for the person who picked it. */
export class SheetError extends Error {
  override readonly name = 'SheetError';
}

const MEGABYTE = 1024 * 1024;
export const MOST_BYTES = 8 * MEGABYTE;
export const MOST_ROWS = 20_000;

/** What is in `file`, unless it is larger than `mostBytes`. Throws {@link SheetError}. */
export async function bytesOf(file: File, mostBytes = MOST_BYTES): Promise<ArrayBuffer> {
  refuseLarge(file.size, mostBytes);
  return file.arrayBuffer();
}

function refuseLarge(bytes: number, mostBytes: number) {
  if (bytes > mostBytes)
    throw new SheetError(`The file is larger than ${mostBytes / MEGABYTE} MB; part it, or leave columns out.`);
}

/** Reads spreadsheet text of at most `mostRows` lines, whatever it is written in and parted by. Throws {@link SheetError}. */
export function readSheet(bytes: ArrayBuffer, mostRows = MOST_ROWS): Sheet {
  refuseLarge(bytes.byteLength, MOST_BYTES);
  const { text: read, encoding } = decoded(bytes);
  // Files put together from several have several line ends.
  const text = read.replace(/\r\n?/g, '\n');
  if (text.trim() === '') throw new SheetError('The file is empty.');
  if (text.includes('\u0000')) throw new SheetError('This is no text. Save the sheet as CSV first.');
  const { data, meta } = parse<Row>(text, {
    header: true,
    skipEmptyLines: false,
    newline: '\n',
    delimiter: delimiterOf(text),
    transformHeader: (heading) => heading.trim(),
  });
  const headings = (meta.fields ?? []).filter((heading) => heading !== '');
  if (headings.length === 0) throw new SheetError('The first line has no headings.');
  const rows = trimmed(data);
  if (rows.length === 0) throw new SheetError('There are headings, and no lines below them.');
  if (rows.length > mostRows)
    throw new SheetError(`The file has ${rows.length} lines; at most ${mostRows} are taken at once.`);
  return { encoding, delimiter: meta.delimiter, headings, rows };
}

/** Rows as spreadsheet text that every program opens: UTF-8 with its mark, and nothing in it that acts as a formula. */
export function writeSheet(
  columns: readonly { readonly id: string; readonly heading: string }[],
  rows: readonly Row[],
): string {
  const lines = rows.map((row) => columns.map(({ id }) => row[id] ?? ''));
  return `\uFEFF${unparse({ fields: columns.map(({ heading }) => heading), data: lines }, { escapeFormulae: true, newline: '\r\n' })}`;
}

/** What parts the headings into most fields: people’s headings have no commas, their remarks have many. */
function delimiterOf(text: string): string {
  const fields = (delimiter: string) => parse<string[]>(text, { delimiter, preview: 1 }).data[0]?.length ?? 0;
  return [';', ',', '\t', '|'].reduce((best, one) => (fields(one) > fields(best) ? one : best), ',');
}

function decoded(bytes: ArrayBuffer): { readonly text: string; readonly encoding: Sheet['encoding'] } {
  const [first, second] = new Uint8Array(bytes);
  if (first === 0xff && second === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}

/** Lines without the empty ones at the end; empty ones between keep their place, so that line numbers hold. */
function trimmed(rows: readonly Row[]): readonly Row[] {
  let end = rows.length;
  while (end > 0 && Object.values(rows[end - 1] ?? {}).every((value) => String(value ?? '').trim() === '')) end -= 1;
  return rows.slice(0, end);
}
