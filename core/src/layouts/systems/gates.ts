import type { HoldPoint } from '../../connection-map/index.js';

/** Signed before work begins. */
export const madeSafe: HoldPoint = {
  id: 'made-safe',
  name: 'Made safe',
  confirmations: [
    { id: 'chocked', words: 'Wheels chocked, out of gear, key out' },
    { id: 'extinguisher', words: 'Extinguisher within reach' },
    { id: 'lead-tied', words: 'Battery lead tied back' },
  ],
};
/** Signed before anything is lifted. */
export const preLift: HoldPoint = {
  id: 'pre-lift',
  name: 'Ready to lift',
  confirmations: [
    { id: 'rated', words: 'Lifting gear rated for this load, at this reach' },
    { id: 'slings', words: 'Slings, eyes and stands looked at, no damage' },
    { id: 'walked-round', words: 'Walked all round, above and below' },
    { id: 'nobody-under', words: 'Nobody under or beside it' },
  ],
};
/** Signed before anything goes back in, with what this layout has to look at besides. */
export const preLower = (...own: readonly { readonly id: string; readonly words: string }[]): HoldPoint => ({
  id: 'pre-lower',
  name: 'Ready to go back in',
  confirmations: [
    { id: 'bay-clear', words: 'Loom, hoses and pumps tied out of the way' },
    ...own,
    { id: 'rated', words: 'Lifting gear rated for this load, at this reach' },
    { id: 'nobody-under', words: 'Nobody under or beside it' },
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
