import { BOX_FAULTS, CHANNELS } from '@brisk/core/instrument';
import { answer, problem, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

const boxParameter: Json = { name: 'box', in: 'path', required: true, schema: { type: 'string', maxLength: 40 } };
const lastParameter: Json = {
  name: 'last-event-id',
  in: 'header',
  required: false,
  schema: { type: 'string' },
  description: 'What was had last: it goes on after it, with nothing lost and nothing twice.',
};
const figures = CHANNELS.map(({ id, unit, always }) => `${id}${always ? '' : '?'} (${unit})`).join(', ');
const reading = `{ atMs, ${figures}, rippleA?: [A, evenly spaced since the reading before], firstAgoMs?: ms since cylinder one was at the top, addsPct?: [each cylinder], codes?: [words] }`;

export const getSimulatedBenchBox: Json = {
  summary: `Readings of a simulated bench box at an engine that is cranked and run, as server-sent events, ten a second: ${reading}, and simulated: true`,
  parameters: [{ name: 'fault', in: 'query', required: false, schema: { enum: [...BOX_FAULTS] } }, lastParameter],
  responses: {
    200: { description: 'Burst after burst until it is switched off.', content: { 'text/event-stream': {} } },
    422: problem('No such fault.'),
    429: problem('Too many run already.'),
  },
};

export const getBenchBoxes: Json = {
  summary: 'Real boxes that are sending now, by name, and how many readings each gave',
  responses: { 200: answer('The boxes.', { type: 'array' }) },
};

export const postBenchBoxReadings: Json = {
  summary: `Readings of a real instrument, one a line as JSON, the oldest first: ${reading}. The box is named by whoever sends; its clock only has to go forwards`,
  parameters: [boxParameter],
  requestBody: { required: true, content: { 'application/x-ndjson': { schema: { type: 'string' } } } },
  responses: {
    200: answer('How many were taken, and which lines were no readings.', { type: 'object' }),
    400: problem('Not sent as JSON lines.'),
    413: problem('Too many at once.'),
    422: problem('No reading in it, or its time runs backwards.'),
    429: problem('Too many boxes send already.'),
  },
};

export const getBenchBoxReadings: Json = {
  summary: 'Readings of a real box as server-sent events, from what is kept of the last ten minutes on',
  parameters: [boxParameter, lastParameter],
  responses: {
    200: { description: 'Readings as they come.', content: { 'text/event-stream': {} } },
    422: problem('No such name.'),
    429: problem('Too many look already.'),
  },
};
