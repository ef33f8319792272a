import type { LiftingGear } from '@brisk/core/rigging';
import type { Figure } from '../../ui/figures';

/** A kind of gear that is a plain list: how it is called, and what is written down of each. */
export interface GearKind {
  readonly kind: Exclude<keyof LiftingGear, 'hoists'>;
  readonly words: string;
  readonly one: string;
  readonly figures: readonly Figure[];
}

const rated: Figure = { field: 'ratedKg', label: 'Rated', unit: 'kg', most: 50_000 };
const mm = (field: string, label: string): Figure => ({ field, label, unit: 'mm', most: 20_000 });
const heights = [rated, mm('lowestMm', 'Lowest'), mm('highestMm', 'Highest')];

export const GEAR_KINDS: readonly GearKind[] = [
  {
    kind: 'levellers',
    words: 'Levellers',
    one: 'leveller',
    figures: [
      rated,
      { ...mm('leadMm', 'One turn moves the hook'), most: 100 },
      { ...mm('travelMm', 'Travel to either side'), most: 2_000 },
    ],
  },
  { kind: 'slings', words: 'Slings and chain legs', one: 'sling', figures: [rated, mm('lengthMm', 'Length')] },
  { kind: 'stands', words: 'Stands', one: 'stand', figures: heights },
  { kind: 'jacks', words: 'Jacks', one: 'jack', figures: heights },
  { kind: 'dollies', words: 'Dollies', one: 'dolly', figures: [rated, mm('deckMm', 'Deck above the floor')] },
];

/** What is stamped beside a hole of a boom. */
export const HOLE_FIGURES: readonly Figure[] = [
  mm('reachMm', 'Reach'),
  rated,
  mm('lowestHookMm', 'Lowest hook'),
  mm('highestHookMm', 'Highest hook'),
];
