import { CARRIED_BY, type FurtherLeg, type MoveStep } from '@brisk/core/work';
import type { ThreePointMinutes } from '@brisk/core/connection-map';
import { id, list, mapOf, oneOf, optionalText, positive, text, yesOrNo } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** A way is not taken in more moves. */
const MOST_MOVES = 55;
const LONGEST_MIN = 600;
const LONGEST_MM = 20_000;

const moves = () =>
  list(
    record<MoveStep>({
      title: text(),
      tip: optionalText(),
      minutes: record<ThreePointMinutes>({
        low: positive(LONGEST_MIN),
        likely: positive(LONGEST_MIN),
        high: positive(LONGEST_MIN),
      }),
    }),
    MOST_MOVES,
    1,
  );

export const movesTakenSchema: EntrySchema<'moves-taken'> = entry('moves-taken', {
  powerpack: id(),
  route: id(),
  off: list(id(), 200),
  measured: mapOf(positive(LONGEST_MM)),
  out: moves(),
  back: moves(),
  carriedBy: oneOf(CARRIED_BY),
  drawnOff: yesOrNo(),
  then: list(
    record<FurtherLeg>({
      after: id(),
      before: id(),
      out: moves(),
      back: moves(),
      carriedBy: oneOf(CARRIED_BY),
      drawnOff: yesOrNo(),
    }),
    4,
    1,
  ).optional(),
});
