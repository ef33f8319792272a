import type { Cylinders } from '../connection-map/index.js';
import type { ChoiceOf } from './options.js';
import type { Optional } from './template.js';

export type CylinderChoice = ChoiceOf<'cylinders'>;

/** What follows from how many cylinders there are and how they lie. */
export interface Arrangement extends Cylinders {
  readonly choice: CylinderChoice;
  /** How heavy such an engine is, and how much it holds, against one of four. */
  readonly size: number;
  /** As a rule; the maker numbers and fires them as he likes. */
  readonly firingOrder: string;
}

const arrangement = (
  choice: CylinderChoice,
  arranged: Cylinders['arranged'],
  count: number,
  size: number,
  firingOrder: string,
): Arrangement => ({ choice, arranged, count, size, firingOrder });

/** Every way in which cylinders lie in the layouts. */
export const ARRANGEMENTS: readonly Arrangement[] = [
  arrangement('1', 'row', 1, 0.35, '1'),
  arrangement('2', 'row', 2, 0.6, '1-2'),
  arrangement('3', 'row', 3, 0.85, '1-3-2'),
  arrangement('4', 'row', 4, 1, '1-3-4-2'),
  arrangement('5', 'row', 5, 1.15, '1-2-4-5-3'),
  arrangement('6', 'row', 6, 1.3, '1-5-3-6-2-4'),
  arrangement('v6', 'v', 6, 1.2, '1-4-3-6-2-5'),
  arrangement('v8', 'v', 8, 1.45, '1-5-4-2-6-3-7-8'),
  arrangement('flat4', 'flat', 4, 1, '1-4-3-2'),
  arrangement('flat6', 'flat', 6, 1.5, '1-6-2-4-3-5'),
];
export const MOST_CYLINDERS = Math.max(...ARRANGEMENTS.map(({ count }) => count));

const choices = (like: (one: Arrangement) => boolean) => ARRANGEMENTS.filter(like).map(({ choice }) => choice);

/** Engines that have a cylinder of this number. */
export const withCylinder = (number: number) => ({ cylinders: choices(({ count }) => count >= number) });
/** Engines with two heads, each with its cover and its manifold. */
export const IN_TWO_BANKS = { cylinders: choices(({ arranged }) => arranged === 'v') };
/** Engines with one head. */
export const IN_ONE_ROW = { cylinders: choices(({ arranged }) => arranged === 'row') };

/** What `make` gives for every arrangement, each there only with its own. */
export function forCylinders<Thing extends object>(
  make: (arrangement: Arrangement) => Optional<Thing>,
  like: (one: Arrangement) => boolean = () => true,
): readonly Optional<Thing>[] {
  return ARRANGEMENTS.filter(like).map((one) => {
    const thing = make(one);
    return { ...thing, when: { ...thing.when, cylinders: [one.choice] } };
  });
}

/** `figure` of an engine of the `base` arrangement, for one of another, to the tenth. */
export function sized(figure: number, { size }: Arrangement, base: CylinderChoice = '4'): number {
  const of = ARRANGEMENTS.find(({ choice }) => choice === base)?.size ?? 1;
  return Math.round((figure * size * 10) / of) / 10;
}

/** Numbers of the cylinders, from 1 to the most any layout has. */
export const CYLINDER_NUMBERS: readonly number[] = Array.from({ length: MOST_CYLINDERS }, (_, index) => index + 1);
