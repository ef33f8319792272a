import { answer, problem, jobParameter, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getJobsHouse: Json = {
  summary: 'What the shop learned of this kind of machine on its other jobs, by step',
  parameters: [jobParameter],
  responses: { 200: answer('Notes, troubles and minutes.', { type: 'object' }), 404: problem('No such job.') },
};

export const getFind: Json = {
  summary: 'Words looked for on every job: joints, bags, tags, notes, parts and where they are, photos, pages',
  parameters: [{ name: 'q', in: 'query', required: false, schema: { type: 'string' } }],
  responses: { 200: answer('What answers, job by job.', { type: 'array' }) },
};

export const getJobsByCodeOne: Json = {
  summary: 'The job a label belongs to, by the beginning of its id',
  parameters: [{ name: 'code', in: 'path', required: true, schema: { type: 'string' } }],
  responses: { 200: answer('The job.', { type: 'object' }), 404: problem('No such job here.') },
};
