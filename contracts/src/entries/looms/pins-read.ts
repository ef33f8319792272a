import { LOOMS } from '@brisk/core/ledger';
import type { Pin } from '@brisk/core/pin-tables';
import { list, name, oneOf, optionalName, optionalPositive } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** A plug has at most some two hundred pins, and a loom a handful of such plugs. */
const MOST_PINS = 400;

export const pinsReadSchema: EntrySchema<'pins-read'> = entry('pins-read', {
  loom: oneOf(LOOMS),
  pins: list(
    record<Pin>({
      plug: name(),
      pin: name(),
      signal: name(),
      colour: optionalName(),
      sizeMm2: optionalPositive(200),
      goesTo: optionalName(),
      amps: optionalPositive(2_000),
      lengthM: optionalPositive(200),
    }),
    MOST_PINS,
    1,
  ),
});
