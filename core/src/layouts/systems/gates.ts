import type { Confirmation, ConnectionId, HoldPoint } from '../../connection-map/index.js';

/** Joints that are not touched while an airbag may still go off. */
export const AT_THE_AIRBAG: readonly ConnectionId[] = ['steering-coupling', 'column-bolts'];

/** Signed before work begins. */
export const madeSafe: HoldPoint = {
  id: 'made-safe',
  name: 'Made safe',
  confirmations: [
    { id: 'chocked', words: 'Wheels chocked, out of gear, key out' },
    { id: 'extinguisher', words: 'Extinguisher within reach' },
    { id: 'lead-tied', words: 'Battery lead tied back' },
    {
      id: 'proved-dead',
      words: 'High voltage proved dead, lock on, the name of who did it on the lock',
      where: { condition: 'high-voltage-off' },
    },
    { id: 'air-nought', words: 'Every air gauge at nought', where: { condition: 'air-released' } },
    {
      id: 'recovered',
      words: 'Refrigerant recovered, and written by whom',
      where: { condition: 'refrigerant-recovered' },
    },
    {
      id: 'airbag-waited',
      words: 'Battery off for as long as the maker says before airbags or steering are touched',
      where: { touches: [...AT_THE_AIRBAG] },
    },
  ],
};
/** Signed before lifting gear takes any weight. */
export const preWeight: HoldPoint = {
  id: 'pre-weight',
  name: 'Gear ready for the weight',
  confirmations: [
    { id: 'rated', words: 'Every piece of lifting gear rated for this load, at this reach' },
    { id: 'slings', words: 'Slings, chains, eyes and hooks looked at, no damage' },
    { id: 'stands', words: 'Chocks, stands and lift arms looked at: the machine stands by itself' },
  ],
};
/** Who may be where when the weight moves. */
const AWAY_FROM_IT: readonly Confirmation[] = [
  { id: 'nobody-under', words: 'Nobody under or beside it', beneath: false },
  { id: 'only-at-the-jack', words: 'Only those at jack or dolly, beside the load: nobody below it', beneath: true },
];
/** Signed before anything is lifted, with what this layout has to look at besides. */
export const preLift = (...own: readonly Confirmation[]): HoldPoint => ({
  id: 'pre-lift',
  name: 'Ready to lift',
  confirmations: [
    {
      id: 'on-its-stand',
      words: 'Engine on its stand and snug on the hoist: it stays up when the gearbox is off',
      where: { condition: 'engine-on-stand' },
    },
    {
      id: 'held',
      words: 'Engine hangs snug on its beam or bearer: it stays up when the gearbox is off',
      where: { condition: 'engine-held' },
    },
    { id: 'walked-round', words: 'Walked all round, above and below' },
    ...own,
    ...AWAY_FROM_IT,
  ],
});
/** Signed before anything goes back in, with what this layout has to look at besides. */
export const preLower = (...own: readonly Confirmation[]): HoldPoint => ({
  id: 'pre-lower',
  name: 'Ready to go back in',
  confirmations: [
    { id: 'bay-clear', words: 'Loom, hoses and pumps tied out of the way' },
    ...own,
    { id: 'rated', words: 'Every piece of lifting gear rated for this load, at this reach' },
    { id: 'slings', words: 'Slings, chains, eyes and hooks looked at, no damage' },
    ...AWAY_FROM_IT,
  ],
});
/** Signed before the first crank. */
export const preStart: HoldPoint = {
  id: 'pre-start',
  name: 'Ready to start',
  confirmations: [
    { id: 'tools-out', words: 'Tools and rags out of the bay, belt clear' },
    { id: 'extinguisher', words: 'Extinguisher within reach' },
    { id: 'exhaust-out', words: 'Exhaust led outside' },
    { id: 'chocked', words: 'Wheels chocked, out of gear' },
    { id: 'on-the-stick', words: 'Every level looked at: oil on the stick' },
  ],
};
