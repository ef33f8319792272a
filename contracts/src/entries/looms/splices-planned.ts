import { list } from '../../fields.js';
import { adaptation } from '../../map.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** As many as both looms have pins. */
const MOST_STEPS = 400;

export const splicesPlannedSchema: EntrySchema<'splices-planned'> = entry('splices-planned', {
  steps: list(adaptation(), MOST_STEPS),
});
