/**
 * A map as spreadsheet rows, and back. What a file would do is told line by line before anything of it happens; a bad
 * line never takes a good one down with it.
 */
export { COLUMNS, rowsOf, TABLES, type Column, type Row, type Table } from './columns.js';
export {
  guessMapping,
  learned,
  missingColumns,
  readRows,
  type BadLine,
  type DryRun,
  type Known,
  type Mapping,
} from './read-rows.js';
