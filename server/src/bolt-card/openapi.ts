import { overload, problem, jobParameter, pdf, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getJobsBoltCardsOne: Json = {
  summary: 'The holes of a joint at true scale, to push its bolts through',
  parameters: [jobParameter, { name: 'connection', in: 'path', required: true, schema: { type: 'string' } }],
  responses: {
    200: pdf('The card, on as many sheets as it needs.'),
    404: problem('No such joint, or none of its fasteners are known.'),
    422: problem('It would need too many sheets.'),
    ...overload,
  },
};
