import type { ConnectionMap } from '../connection-map/index.js';
import { applyEdit, type MapEdit } from '../map-edit/index.js';
import { COLUMNS, type Row, type Table } from './columns.js';
import { LineError, type Reader } from './fields.js';
import { connectionReader } from './read-connections.js';
import { fastenerReader } from './read-fasteners.js';
import { partReader } from './read-parts.js';

/** A line that cannot be taken, and why. */
export interface BadLine {
  /** As a spreadsheet counts: the heading is line 1. */
  readonly line: number;
  readonly column: string;
  readonly words: string;
}

/** What taking a file would do; nothing of it has happened yet. */
export interface DryRun {
  readonly edit: MapEdit;
  readonly map: ConnectionMap;
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  readonly bad: readonly BadLine[];
}

/** Which heading of the file stands for which column. */
export type Mapping = Readonly<Record<string, string>>;

/** A heading that somebody said stands for a column of a table, once. */
export interface Known {
  readonly table: Table;
  readonly heading: string;
  readonly column: string;
}

/** The columns that the headings of a file stand for, as far as their words tell or somebody has said before. */
export function guessMapping(table: Table, headings: readonly string[], known: readonly Known[] = []): Mapping {
  const plain = (words: string) =>
    words
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim();
  const taken = new Set<string>();
  const entries = COLUMNS[table].flatMap(({ id, heading, alsoCalled }) => {
    const said = known.filter((one) => one.table === table && one.column === id).map((one) => one.heading);
    const wanted = [...said, id, heading, ...alsoCalled].map(plain);
    const found = wanted
      .map((want) => headings.find((one) => !taken.has(one) && plain(one) === want))
      .find((one) => one !== undefined);
    if (found === undefined) return [];
    taken.add(found);
    return [[id, found] as const];
  });
  return Object.fromEntries(entries);
}

/** `known` with what `mapping` says that the words of the headings do not; the latest said of a heading stands. */
export function learned(table: Table, mapping: Mapping, known: readonly Known[]): readonly Known[] {
  const guessed = guessMapping(table, Object.values(mapping));
  const fresh = Object.entries(mapping)
    .filter(([column, heading]) => heading !== '' && guessed[column] !== heading)
    .map(([column, heading]): Known => ({ table, heading, column }));
  const again = (one: Known) => fresh.some(({ heading }) => one.table === table && one.heading === heading);
  return [...known.filter((one) => !again(one)), ...fresh];
}

/** Columns that a file has to have and `mapping` does not name. */
export function missingColumns(table: Table, mapping: Mapping): readonly string[] {
  return COLUMNS[table].filter(({ id, needed }) => needed && !mapping[id]).map(({ heading }) => heading);
}

/**
 * What the rows of a file would do to `map`. A row whose id is on the map changes that thing, and an empty field leaves
 * what is there; any other row adds one. Each bad line is told with its reason, and the rest would still be taken.
 */
export function readRows(map: ConnectionMap, table: Table, mapping: Mapping, rows: readonly Row[]): DryRun {
  const reader = readerFor(table, map);
  const bad: BadLine[] = [];
  rows.forEach((row, index) => {
    const value = (column: string) => (row[mapping[column] ?? ''] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    if (COLUMNS[table].every(({ id }) => value(id) === '')) return;
    try {
      reader.read(value);
    } catch (error) {
      if (!(error instanceof LineError)) throw error;
      bad.push({ line: index + 2, column: headingOf(table, error.column), words: error.message });
    }
  });
  const { edits, added, changed, unchanged } = reader.finish();
  const edit: MapEdit = { kind: 'together', edits };
  return { edit, map: applyEdit(map, edit), added, changed, unchanged, bad };
}

function readerFor(table: Table, map: ConnectionMap): Reader {
  if (table === 'parts') return partReader(map);
  return table === 'connections' ? connectionReader(map) : fastenerReader(map);
}

function headingOf(table: Table, column: string): string {
  return COLUMNS[table].find(({ id }) => id === column)?.heading ?? column;
}
