import type { BoomHole, Dolly, Hoist, Leveller, LiftingGear, Sling, Support } from '@brisk/core/rigging';
import type { Schema } from 'yup';
import { count, id, list, name, positive } from './fields.js';
import { record } from './record.js';
import type { ToKeep } from './shop.js';

/** What a shop has of one kind at most. */
const MOST = 40;
const ratedKg = () => positive(50_000);
const mm = () => positive(20_000);

export const boomHoleSchema = record<BoomHole>({
  reachMm: mm(),
  ratedKg: ratedKg(),
  lowestHookMm: mm(),
  highestHookMm: mm(),
}).test(
  'rising',
  'The highest hook has to be above the lowest.',
  ({ lowestHookMm, highestHookMm }) => highestHookMm > lowestHookMm,
);
export const levellerSchema = record<Leveller>({
  id: id(),
  name: name(),
  leadMm: positive(100),
  travelMm: positive(2_000),
  ratedKg: ratedKg(),
});
export const slingSchema = record<Sling>({ id: id(), name: name(), ratedKg: ratedKg(), lengthMm: mm() });
export const supportSchema = record<Support>({
  id: id(),
  name: name(),
  ratedKg: ratedKg(),
  lowestMm: mm(),
  highestMm: mm(),
}).test('rising', 'Its highest has to be above its lowest.', ({ lowestMm, highestMm }) => highestMm > lowestMm);
export const dollySchema = record<Dolly>({ id: id(), name: name(), ratedKg: ratedKg(), deckMm: mm() });

/** A list in which nothing stands twice by `of`. */
const once = <Item>(schema: Schema<Item>, of: (item: Item) => unknown, least = 0) =>
  list(schema, MOST, least).test(
    'once',
    '${path} has something twice.',
    // Looked at before the items themselves are, so that one may be anything yet.
    (items: readonly (Item | null)[]) => new Set(items.map((item) => item && of(item))).size === items.length,
  );
const byId = ({ id: own }: { readonly id: string }) => own;

/** What a shop lifts with; nobody lifts without a leveller or a hoist, so one of each stays. */
export const liftingGearSchema = record<LiftingGear>({
  hoists: once(
    record<Hoist>({ id: id(), name: name(), holes: once(boomHoleSchema, ({ reachMm }) => reachMm, 1) }),
    byId,
    1,
  ).label('The list of hoists'),
  levellers: once(levellerSchema, byId, 1).label('The list of levellers'),
  slings: once(slingSchema, byId),
  stands: once(supportSchema, byId),
  jacks: once(supportSchema, byId),
  dollies: once(dollySchema, byId),
});

export const keepGearSchema = record<ToKeep<LiftingGear>>({
  revision: count(10_000_000),
  document: liftingGearSchema,
});
