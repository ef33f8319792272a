import { SHIFT_SORTS, type ShiftLine } from '@brisk/core/ledger';
import { list, oneOf, optionalText, text } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** More than that nobody reads at the end of a day. */
const MOST_LINES = 200;

export const shiftHandedOverSchema: EntrySchema<'shift-handed-over'> = entry('shift-handed-over', {
  lines: list(record<ShiftLine>({ sort: oneOf(SHIFT_SORTS), words: text() }), MOST_LINES),
  added: optionalText(),
});
