import type { BeltMeasured } from '@brisk/core/adjusting';
import {
  amount,
  id,
  name,
  oneOf,
  optionalAmount,
  optionalList,
  optionalPositive,
  optionalText,
  positive,
} from '../../fields.js';
import { either } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** Nobody turns an adjuster further either way, in half turns. */
const MOST_HALF_TURNS = 200;
const MOST_GEARS = 24;
const MOST = 100_000;

const belt = () =>
  either<BeltMeasured>(
    {
      by: oneOf(['frequency', 'deflection']),
      spanMm: positive(10_000),
      gramsPerM: optionalPositive(10_000),
      hz: optionalPositive(10_000),
      forceN: optionalPositive(10_000),
      deflectionMm: optionalPositive(1_000),
    },
    ({ by, gramsPerM, hz, forceN, deflectionMm }) =>
      by === 'frequency'
        ? gramsPerM !== undefined && hz !== undefined && forceN === undefined && deflectionMm === undefined
        : forceN !== undefined && deflectionMm !== undefined && gramsPerM === undefined && hz === undefined,
    'A belt is measured by its note and what a metre weighs, or by the force and how far it goes in.',
  )
    .optional()
    .default(undefined);

export const adjustmentTriedSchema: EntrySchema<'adjustment-tried'> = entry('adjustment-tried', {
  connection: id(),
  halfTurns: amount(MOST_HALF_TURNS, -MOST_HALF_TURNS),
  went: optionalList(name(), MOST_GEARS),
  not: optionalList(name(), MOST_GEARS),
  readingMm: optionalAmount(MOST),
  belt: belt(),
  from: optionalAmount(MOST),
  to: optionalAmount(MOST),
  accepted: optionalText(),
});
