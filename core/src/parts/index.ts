/**
 * Parts that are bought: what has to be the same as on the old one, what everything comes to and when, and what is read
 * from a supplier’s price list.
 */
export { partCards, type PartCard } from './cards.js';
export { comparisonsFor } from './compare.js';
export { priceOf, spendingOf, type DaySpent, type Spending } from './spending.js';
export {
  PRICE_COLUMNS,
  pricesFor,
  readPriceList,
  type PriceColumn,
  type PriceLine,
  type PriceList,
  type PriceMapping,
} from './price-list.js';
