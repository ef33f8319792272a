import { READINGS } from '@brisk/core/inspection';
import { amount, list, oneOf, optionalAmount, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** Sixteen cylinders are the most anybody has here. */
const MOST_VALUES = 16;

export const unitMeasuredSchema: EntrySchema<'unit-measured'> = entry('unit-measured', {
  reading: oneOf(READINGS),
  values: list(amount(1_000), MOST_VALUES, 1),
  low: optionalAmount(1_000),
  high: optionalAmount(1_000),
  note: optionalText(),
});
