import { HOLD_POINTS } from '@brisk/core/connection-map';
import { id, list, oneOf } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const holdPointSignedSchema: EntrySchema<'hold-point-signed'> = entry('hold-point-signed', {
  holdPoint: oneOf(HOLD_POINTS),
  confirmed: list(id(), 40),
});
