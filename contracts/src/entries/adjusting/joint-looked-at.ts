import { LOOKS } from '@brisk/core/adjusting';
import { id, list, oneOf, optionalText, yesOrNo } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const jointLookedAtSchema: EntrySchema<'joint-looked-at'> = entry('joint-looked-at', {
  connection: id(),
  looks: list(oneOf(LOOKS), LOOKS.length, 1),
  good: yesOrNo(),
  note: optionalText(),
});
