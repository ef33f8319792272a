import { SCALE_MODES } from '@brisk/core/rigging';
import { problem, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getSimulatedCraneScale: Json = {
  summary: 'Readings of a simulated crane scale as server-sent events: { atMs, kg, simulated: true }, five a second',
  parameters: [
    { name: 'kg', in: 'query', required: true, schema: { type: 'number' } },
    { name: 'mode', in: 'query', required: false, schema: { enum: [...SCALE_MODES] } },
  ],
  responses: {
    200: { description: 'Readings until it is switched off.', content: { 'text/event-stream': {} } },
    422: problem('No weight, or no such mode.'),
    429: problem('Too many run already.'),
  },
};
