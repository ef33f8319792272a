import { name, positive } from '@brisk/contracts/fields';
import type { LiftingGear } from '@brisk/core/rigging';
import type { Answers, Question } from '../../ui/asking';

/** A figure stamped on a piece of gear. */
interface Figure {
  readonly field: string;
  readonly label: string;
  readonly unit: string;
  readonly most: number;
}

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

/** Asks for figures, with what they are now. */
export function figureQuestions(figures: readonly Figure[], now: object = {}): readonly Question[] {
  const before = new Map<string, unknown>(Object.entries(now));
  return figures.map(({ field, label, unit, most }) => {
    const initial = before.get(field);
    return {
      field,
      label: `${label}, ${unit}`,
      as: 'number' as const,
      schema: positive(most).label(label),
      ...(typeof initial === 'number' ? { initial } : {}),
    };
  });
}

/** Asks how a piece of gear is called. */
export function nameQuestion(initial?: string): Question {
  return {
    field: 'name',
    label: 'What it is called',
    as: 'line',
    schema: name().label('Name'),
    ...(initial === undefined ? {} : { initial }),
  };
}

/** The figures of `answers`. */
export function figuresIn(figures: readonly Figure[], answers: Answers): Readonly<Record<string, number>> {
  return Object.fromEntries(figures.map(({ field }) => [field, Number(answers[field])]));
}

/** The figures of a piece of gear in words. */
export function figureWords(figures: readonly Figure[], gear: object): string {
  const stamped = new Map<string, unknown>(Object.entries(gear));
  return figures
    .map(({ field, label, unit }) => `${label.toLowerCase()} ${String(stamped.get(field))} ${unit}`)
    .join(', ');
}
