import { type BoltPattern, PATTERN_SHAPES } from '@brisk/core/fasteners';
import { amount, count, id, list, oneOf, optionalName } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

const placeMm = () => amount(5_000, -5_000);

export const patternDrawnSchema: EntrySchema<'pattern-drawn'> = entry('pattern-drawn', {
  connection: id(),
  pattern: record<BoltPattern>({
    shape: oneOf(PATTERN_SHAPES),
    widthMm: amount(5_000),
    heightMm: amount(5_000),
    holes: list(
      record<BoltPattern['holes'][number]>({ xMm: placeMm(), yMm: placeMm(), set: count(40), note: optionalName() }),
      200,
      1,
    ),
  }),
});
