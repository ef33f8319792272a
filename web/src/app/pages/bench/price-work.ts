import { pricesFor, readPriceList, type PriceLine, type PriceMapping } from '@brisk/core/parts';
import type { PartToOrder } from '@brisk/core/ledger';
import { readSheet, SheetError, type Sheet } from '../../ui/csv';

/** A supplier’s list has more lines than any machine has parts. */
export const MOST_PRICES = 60_000;
/** Of the lines that cannot be taken, so many are named. */
const MOST_BAD = 20;

/** A file as far as the page needs it. The rows stay with the worker. */
export interface PricesRead {
  readonly headings: readonly string[];
  readonly lines: number;
}
/** Why a file cannot be read, in words. */
export interface PricesFailed {
  readonly failed: string;
}
export interface PricesTried {
  readonly lines: number;
  readonly found: readonly { readonly part: PartToOrder; readonly line: PriceLine }[];
  readonly bad: readonly { readonly line: number; readonly words: string }[];
  readonly badLines: number;
}

/** What is done with a price list. */
export interface PriceWork {
  read(bytes: ArrayBuffer): PricesRead | PricesFailed;
  tryOn(needs: readonly PartToOrder[], mapping: PriceMapping, currency: string): PricesTried;
}

let rows: Sheet['rows'] = [];

/** The work itself, on whichever thread; the rows of the file read last stay here. */
export const priceWork: PriceWork = {
  read(bytes) {
    try {
      const sheet = readSheet(bytes, MOST_PRICES);
      rows = sheet.rows;
      return { headings: sheet.headings, lines: rows.length };
    } catch (error) {
      if (error instanceof SheetError) return { failed: error.message };
      throw error;
    }
  },
  tryOn(needs, mapping, currency) {
    const { lines, bad } = readPriceList(rows, mapping, currency);
    return { lines: lines.length, found: pricesFor(needs, lines), bad: bad.slice(0, MOST_BAD), badLines: bad.length };
  },
};
