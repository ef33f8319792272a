import { HOLD_POINTS } from '@brisk/core/connection-map';
import { oneOf, yesOrNo } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const secondSignerAskedSchema: EntrySchema<'second-signer-asked'> = entry('second-signer-asked', {
  holdPoint: oneOf(HOLD_POINTS),
  asked: yesOrNo(),
});
