import { DRIVES, FORMS, hasMeasured, type MeasuredBolt } from '@brisk/core/fasteners';
import { oneOf, optionalPositive, optionalYesOrNo } from './fields.js';
import { record } from './record.js';

/** What somebody measured on a loose fastener; something has to be. */
export const measuredBolt = () =>
  record<MeasuredBolt>({
    form: oneOf(FORMS).optional(),
    diameterMm: optionalPositive(1_000),
    pitchMm: optionalPositive(10),
    lengthMm: optionalPositive(1_000),
    drive: oneOf(DRIVES).optional(),
    driveSize: optionalPositive(1_000),
    flanged: optionalYesOrNo(),
  }).test('something', 'Measure something first: how thick, how long, which head.', (bolt) => hasMeasured(bolt));
