import { overload, problem, jobParameter, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getJobsRunSheetPdf: Json = {
  summary:
    'What is left of one half of the job as the crew follows it, to carry: two pages, or more where the type would get too small',
  parameters: [
    jobParameter,
    { name: 'half', in: 'query', required: false, schema: { enum: ['out', 'back'], default: 'out' } },
    {
      name: 'zone',
      in: 'query',
      required: false,
      description: 'Time zone in which the sheet says when it was printed; absent: the server’s own.',
      schema: { type: 'string', maxLength: 60, example: 'Europe/Berlin' },
    },
  ],
  responses: {
    200: { description: 'The sheet.', content: { 'application/pdf': { schema: { type: 'string' } } } },
    404: problem('No such job.'),
    422: problem('There is no such half or no such time zone.'),
    ...overload,
  },
};
