import type { BoomHole, Dolly, Hoist, Leveller, LiftingGear, Sling, Support } from '@brisk/core/rigging';
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

/** What a shop lifts with; nobody lifts without a leveller or a hoist, so one of each stays. */
export const liftingGearSchema = record<LiftingGear>({
  hoists: list(record<Hoist>({ id: id(), name: name(), holes: list(boomHoleSchema, 20, 1) }), MOST, 1),
  levellers: list(levellerSchema, MOST, 1),
  slings: list(slingSchema, MOST),
  stands: list(supportSchema, MOST),
  jacks: list(supportSchema, MOST),
  dollies: list(dollySchema, MOST),
});

export const keepGearSchema = record<ToKeep<LiftingGear>>({
  revision: count(10_000_000),
  document: liftingGearSchema,
});
