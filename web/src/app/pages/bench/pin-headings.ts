import { PIN_COLUMNS, readPinTable, type PinColumn, type PinMapping, type PinTable } from '@brisk/core/pin-tables';
import type { Sheet } from '../../ui/csv';

/** Headings people write over each column, the plainest first. */
const MEANS: Readonly<Record<PinColumn, RegExp>> = {
  plug: /^(plug|connector|conn|stecker)/i,
  pin: /^(pin|cavity|terminal|no)/i,
  signal: /signal|function|circuit|name|descr/i,
  colour: /colou?r|farbe/i,
  size: /mm|size|gauge|section/i,
  goesTo: /to\b|goes|dest|from/i,
  amps: /amp|current|fuse/i,
  length: /length|run|metre|meter/i,
};

/** The pins of a spreadsheet, its columns known by their headings. */
export function pinsIn({ headings, rows }: Sheet): PinTable {
  const mapping: Partial<Record<PinColumn, string>> = {};
  for (const column of PIN_COLUMNS) {
    const heading = headings.find((one) => MEANS[column].test(one) && !Object.values(mapping).includes(one));
    if (heading !== undefined) mapping[column] = heading;
  }
  const found: PinMapping = mapping;
  return readPinTable(rows, found);
}
