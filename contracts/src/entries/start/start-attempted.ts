import { START_RESULTS } from '@brisk/core/first-start';
import { amount, oneOf, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const startAttemptedSchema: EntrySchema<'start-attempted'> = entry('start-attempted', {
  voltsBefore: amount(36),
  voltsLowest: amount(36),
  crankSeconds: amount(120),
  result: oneOf(START_RESULTS),
  note: optionalText(),
});
