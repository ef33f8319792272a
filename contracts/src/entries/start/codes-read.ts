import { WHEN_READ } from '@brisk/core/ledger';
import { list, name, oneOf, optionalAmount } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const codesReadSchema: EntrySchema<'codes-read'> = entry('codes-read', {
  when: oneOf(WHEN_READ),
  warnings: list(name(), 200),
  volts: optionalAmount(100),
});
