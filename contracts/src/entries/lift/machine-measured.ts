import { PLANE_NAMES } from '@brisk/core/shape';
import { oneOf, positive } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

/** No machine is longer than a lorry. */
const LONGEST_MM = 20_000;

export const machineMeasuredSchema: EntrySchema<'machine-measured'> = entry('machine-measured', {
  plane: oneOf(PLANE_NAMES),
  mm: positive(LONGEST_MM),
});
