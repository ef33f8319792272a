import type { BodyOf, EntryHead, EntryKind } from '@brisk/core/ledger';
import type { ObjectSchema } from 'yup';
import { name, oneOf, time, uuid } from '../fields.js';
import { record, type FieldsOf } from '../record.js';

/** Who wrote an entry, and when. */
export const entryHead: FieldsOf<EntryHead> = { id: uuid(), at: time(), by: name() };

/** What entries of one kind have to hold. */
export type EntrySchema<Kind extends EntryKind> = ObjectSchema<EntryHead & BodyOf<Kind>>;

/** An entry of one kind: its head, its kind, and the fields of its body. */
export function entry<Kind extends EntryKind>(
  kind: Kind,
  fields: FieldsOf<Omit<BodyOf<Kind>, 'kind'>>,
): EntrySchema<Kind> {
  const whole = { ...entryHead, kind: oneOf([kind]), ...fields };
  // Head, kind and the rest are all there is of an entry; that they add up for a kind not yet known is beyond the compiler.
  return record<EntryHead & BodyOf<Kind>>(whole as FieldsOf<EntryHead & BodyOf<Kind>>);
}
