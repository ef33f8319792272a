import { id, optionalText, text } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const troubleTestDoneSchema: EntrySchema<'trouble-test-done'> = entry('trouble-test-done', {
  test: id(),
  asked: text(),
  answer: id(),
  answered: text(),
  note: optionalText(),
});
