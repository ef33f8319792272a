import { problem, jobParameter, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getJobsRunSheetPdf: Json = {
  summary: 'What is left of one half of the job as the crew follows it, on two pages to carry',
  parameters: [
    jobParameter,
    { name: 'half', in: 'query', required: false, schema: { enum: ['out', 'back'], default: 'out' } },
  ],
  responses: {
    200: { description: 'The sheet.', content: { 'application/pdf': { schema: { type: 'string' } } } },
    404: problem('No such job.'),
    422: problem('There is no such half.'),
  },
};
