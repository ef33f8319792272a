import { mixed } from 'yup';
import { amount, id, oneOf, optionalId, optionalAmount } from '../../fields.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const fluidMeasuredSchema: EntrySchema<'fluid-measured'> = entry('fluid-measured', {
  circuit: id(),
  direction: oneOf(['out', 'in'] as const),
  litres: amount(1_000),
  onTop: mixed<true>().oneOf([true]).optional(),
  joint: optionalId(),
  share: optionalAmount(1),
});
