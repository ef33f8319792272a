import { PULLS } from '@brisk/core/torque';
import { problem, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getSimulatedTorqueWrench: Json = {
  summary:
    'Readings of a simulated torque wrench as server-sent events: { atMs, nm, click?: true, simulated: true }, twenty a second',
  parameters: [
    { name: 'nm', in: 'query', required: true, schema: { type: 'number' } },
    { name: 'pull', in: 'query', required: false, schema: { enum: [...PULLS] } },
  ],
  responses: {
    200: { description: 'Pull after pull until it is put down.', content: { 'text/event-stream': {} } },
    422: problem('Nothing it could be set to, or no such pull.'),
    429: problem('Too many run already.'),
  },
};
