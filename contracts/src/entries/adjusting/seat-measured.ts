import { amount, id, list, optionalAmount, optionalText } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

const MOST_MM = 300;

export const seatMeasuredSchema: EntrySchema<'seat-measured'> = entry('seat-measured', {
  operation: id(),
  readingsMm: list(amount(MOST_MM), 12, 1),
  figureMm: optionalAmount(MOST_MM),
  accepted: optionalText(),
});
