import { ATTEMPT_PURPOSES, START_RESULTS } from '@brisk/core/first-start';
import { BURSTS_FROM, TRACE_POINTS, type KeptBurst, type KeptTrace } from '@brisk/core/instrument';
import { mixed } from 'yup';
import { amount, count, list, name, oneOf, optionalAmount, optionalList, optionalText } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

const MOST_CYLINDERS = 16;
const MOST_CODES = 40;

const points = (most: number, least = 0) => list(amount(most, least), TRACE_POINTS, 1);

/** What a bench box read of a burst, and its trace: as many points of each figure. */
const readSchema = record<KeptBurst>({
  from: oneOf(BURSTS_FROM),
  crankRpm: amount(12_000),
  voltsAfter: optionalAmount(60),
  pressureAfterS: optionalAmount(86_400),
  noSignal: mixed<true>().oneOf([true]).optional(),
  cylinders: optionalAmount(MOST_CYLINDERS),
  weak: optionalAmount(MOST_CYLINDERS),
  oilBar: optionalAmount(30),
  fuelBar: optionalAmount(3_500),
  manifoldBar: optionalAmount(5, -1),
  hottestC: optionalAmount(200, -60),
  addsLeast: optionalAmount(MOST_CYLINDERS),
  codes: optionalList(name(), MOST_CODES),
  trace: record<KeptTrace>({
    everyMs: count(60_000, 10),
    volts: points(60),
    amps: points(3_000, -500),
    rpm: points(12_000),
  })
    .test(
      'as-long',
      'A trace has as many volts as amperes and revolutions.',
      (trace?: KeptTrace) =>
        !trace || (trace.volts.length === trace.amps.length && trace.volts.length === trace.rpm.length),
    )
    .optional()
    .default(undefined),
});

export const startAttemptedSchema: EntrySchema<'start-attempted'> = entry('start-attempted', {
  voltsBefore: amount(36),
  voltsLowest: amount(36),
  crankSeconds: amount(120),
  result: oneOf(START_RESULTS),
  purpose: oneOf(ATTEMPT_PURPOSES).optional(),
  note: optionalText(),
  read: readSchema.optional().default(undefined),
});
