import { BOX_FAULTS } from '@brisk/core/instrument';
import { problem, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getSimulatedBenchBox: Json = {
  summary:
    'Readings of a simulated bench box at an engine that is cranked and run, as server-sent events: { atMs, volts, amps, rpm, oilBar, coolantC, fuelBar, peaksA?, simulated: true }, ten a second',
  parameters: [{ name: 'fault', in: 'query', required: false, schema: { enum: [...BOX_FAULTS] } }],
  responses: {
    200: { description: 'Burst after burst until it is switched off.', content: { 'text/event-stream': {} } },
    422: problem('No such fault.'),
    429: problem('Too many run already.'),
  },
};
