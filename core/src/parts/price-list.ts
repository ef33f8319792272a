import type { PartToOrder } from '../ledger/index.js';

/** Columns of a supplier’s list that are of use. */
export const PRICE_COLUMNS = ['number', 'name', 'price', 'core', 'currency', 'days'] as const;
export type PriceColumn = (typeof PRICE_COLUMNS)[number];

/** Under which heading each column stands in this supplier’s file. */
export type PriceMapping = Readonly<Partial<Record<PriceColumn, string>>>;

/** One line of a price list. */
export interface PriceLine {
  readonly number: string;
  readonly name: string;
  readonly priceCents: number;
  readonly coreChargeCents?: number;
  readonly leadDays?: number;
}

/** A price list as read: its lines, and those that cannot be taken, with why. Lines count from 2: the first has the headings. */
export interface PriceList {
  readonly lines: readonly PriceLine[];
  readonly bad: readonly { readonly line: number; readonly words: string }[];
}

type Row = Readonly<Record<string, string | undefined>>;

/**
 * Reads the rows of a supplier’s list. A line without number or price, with a price that is none or below nought, in
 * another money than `currency`, or with a lead time that is over, is named and left out.
 */
export function readPriceList(rows: readonly Row[], mapping: PriceMapping, currency: string): PriceList {
  const lines: PriceLine[] = [];
  const bad: { line: number; words: string }[] = [];
  rows.forEach((row, index) => {
    const at = (column: PriceColumn) => (mapping[column] === undefined ? '' : (row[mapping[column]] ?? '').trim());
    if (Object.values(row).every((value) => (value ?? '').trim() === '')) return;
    const wrong = (words: string) => void bad.push({ line: index + 2, words });
    const number = at('number');
    if (number === '') return wrong('It has no number.');
    const money = at('currency');
    if (money !== '' && money.toUpperCase() !== currency)
      return wrong(`${number} is in ${money}; the shop reckons in ${currency}.`);
    const priceCents = centsOf(at('price'));
    if (priceCents === undefined) return wrong(`${number}: “${at('price')}” is no price.`);
    if (priceCents < 0) return wrong(`${number}: a price below nought.`);
    const core = at('core');
    const coreChargeCents = core === '' ? undefined : centsOf(core);
    if (core !== '' && (coreChargeCents === undefined || coreChargeCents < 0))
      return wrong(`${number}: “${core}” is no core charge.`);
    const days = at('days');
    const leadDays = days === '' ? undefined : Number(days);
    if (leadDays !== undefined && !(leadDays >= 0 && leadDays <= MOST_DAYS))
      return wrong(`${number}: “${days}” is no number of days.`);
    lines.push({
      number,
      name: at('name'),
      priceCents,
      ...(coreChargeCents === undefined ? {} : { coreChargeCents }),
      ...(leadDays === undefined ? {} : { leadDays }),
    });
  });
  return { lines, bad };
}

const MOST_DAYS = 3_650;

/** “1.234,50”, “1,234.50”, “12 EUR” in whole cents; undefined where it is no figure. */
function centsOf(typed: string): number | undefined {
  const bare = typed.replace(/[A-Za-z€$£\s']/g, '');
  if (!/^-?[\d.,]+$/.test(bare)) return undefined;
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  // A last mark with one or two figures behind it parts the cents; with three it parts thousands.
  const cents = last >= 0 && bare.length - last - 1 <= 2;
  const whole = (cents ? bare.slice(0, last) : bare).replace(/[.,]/g, '');
  const value = Number(`${whole || '0'}.${cents ? bare.slice(last + 1) : '0'}`);
  return Number.isFinite(value) ? Math.round(value * 100) : undefined;
}

/** The lines of a list that are of parts on this job, by the number that was written down for each. */
export function pricesFor(
  needs: readonly PartToOrder[],
  lines: readonly PriceLine[],
): readonly { readonly part: PartToOrder; readonly line: PriceLine }[] {
  const bare = (number: string) => number.toUpperCase().replace(/[^A-Z0-9]/g, '');
  const byNumber = new Map(lines.map((line) => [bare(line.number), line]));
  return needs.flatMap((part) => {
    const line = part.number === undefined ? undefined : byNumber.get(bare(part.number));
    return line ? [{ part, line }] : [];
  });
}
