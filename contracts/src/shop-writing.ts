import { COLUMNS, TABLES, type Known } from '@brisk/core/exchange';
import { CLOCK_FORMS, DAY_FORMS, USUAL_WRITING, type Writing } from '@brisk/core/words';
import { count, list, name, oneOf } from './fields.js';
import { record } from './record.js';
import type { ToKeep } from './shop.js';

/** Spreadsheets of a shop have so many headings of its own at the most. */
export const MOST_HEADINGS = 300;

/** How the shop writes: its days and times, and the headings its spreadsheets have for our columns. */
export interface ShopWriting extends Writing {
  readonly headings: readonly Known[];
}
export const USUAL_SHOP_WRITING: ShopWriting = { ...USUAL_WRITING, headings: [] };

const columns = TABLES.flatMap((table) => COLUMNS[table].map(({ id }) => id));

export const shopWritingSchema = record<ShopWriting>({
  days: oneOf(DAY_FORMS).label('Days'),
  clock: oneOf(CLOCK_FORMS).label('Times'),
  headings: list(
    record<Known>({
      table: oneOf(TABLES).label('Table'),
      heading: name().label('Heading'),
      column: oneOf(columns).label('Column'),
    }),
    MOST_HEADINGS,
  ),
});

export const keepShopWritingSchema = record<ToKeep<ShopWriting>>({
  revision: count(10_000_000),
  document: shopWritingSchema,
});
