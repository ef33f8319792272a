import type { Adapter, ShopWrench, WrenchRack } from '@brisk/core/torque';
import { count, id, list, name, optionalDay, optionalPositive, positive } from './fields.js';
import { record } from './record.js';
import type { Kept, ToKeep } from './shop.js';

const MOST = 40;
const MOST_NM = 10_000;

export const shopWrenchSchema = record<ShopWrench>({
  id: id(),
  name: name(),
  lowestNm: positive(MOST_NM),
  highestNm: positive(MOST_NM),
  handleMm: optionalPositive(3_000),
  calibratedOn: optionalDay(),
}).test(
  'rising',
  'The highest it reads has to be above the lowest.',
  ({ lowestNm, highestNm }) => highestNm > lowestNm,
);

export const adapterSchema = record<Adapter>({ id: id(), name: name(), lengthMm: positive(2_000) });

const isOnce = (items: readonly ({ readonly id: string } | null)[]) =>
  new Set(items.map((item) => item?.id)).size === items.length;
const ONCE = '${path} has something twice.';

/** What a shop tightens with; nobody tightens without a wrench. */
export const wrenchRackSchema = record<WrenchRack>({
  wrenches: list(shopWrenchSchema, MOST, 1).label('The list of wrenches').test('once', ONCE, isOnce),
  adapters: list(adapterSchema, MOST).label('The list of adapters').test('once', ONCE, isOnce),
});

export const keepRackSchema = record<ToKeep<WrenchRack>>({ revision: count(10_000_000), document: wrenchRackSchema });

/** The rack as the server tells it: how often each wrench was used since it was calibrated, by the ledgers of the shop. */
export interface KeptRack extends Kept<WrenchRack> {
  readonly uses: Readonly<Record<string, number>>;
}
