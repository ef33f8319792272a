import { answer, jsonOf, overload, problem, ref, jobParameter, ledger, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

export const getLayouts: Json = {
  summary: 'Layouts to start a job from',
  responses: { 200: answer('All layouts.', { type: 'array' }) },
};

export const getJobs: Json = {
  summary: 'Every job as it stands',
  responses: { 200: answer('All jobs.', { type: 'array' }) },
};

export const postJobs: Json = {
  summary: 'Begin a job; the id is the client’s, and the same job again is answered the same',
  requestBody: { required: true, content: jsonOf(ref('NewJob')) },
  responses: {
    201: answer('The job.', ref('Job')),
    409: problem('Another job has this id.'),
    422: problem('Something in it is not right.'),
  },
};

export const getJobsOne: Json = {
  summary: 'A job with its whole ledger',
  parameters: [jobParameter],
  responses: {
    200: answer('The job.', { type: 'object', properties: { job: ref('Job'), entries: ledger } }),
    404: problem('No such job.'),
  },
};

export const postJobsHere: Json = {
  summary: 'Say that somebody is at a job, and at which step; whoever listens to its bell is told',
  parameters: [jobParameter],
  requestBody: { required: true, content: jsonOf(ref('HereNow')) },
  responses: { 204: { description: 'The others know.' }, 404: problem('No such job.') },
};

export const deleteJobsHere: Json = {
  summary: 'Say that a page has left a job',
  parameters: [jobParameter, { name: 'page', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }],
  responses: { 204: { description: 'The others know.' } },
};

export const getBell: Json = {
  summary:
    'The bell of the shop as server-sent events: { job, position, revision, here } whenever something is written to a job, where its ledger and planning stand and who is at which step; an event called beat every so often. A line is ended after a minute and asked for again. What is new is fetched as ever',
  responses: {
    200: { description: 'Rings until nobody listens.', content: { 'text/event-stream': {} } },
    429: problem('Too many listen already.'),
  },
};

export const getJobsLedger: Json = {
  summary: 'Entries after a position',
  parameters: [jobParameter, { name: 'after', in: 'query', schema: { type: 'integer', minimum: 0 } }],
  responses: {
    200: answer('The entries, and which revision of the planning they belong to.', {
      type: 'object',
      required: ['entries', 'revision'],
      properties: { entries: ledger, revision: { type: 'integer', minimum: 1 } },
    }),
    404: problem('No such job.'),
  },
};

export const postJobsLedger: Json = {
  summary: 'Append entries, all or none; entries that stand already are answered as before',
  parameters: [jobParameter],
  requestBody: {
    required: true,
    content: jsonOf({
      type: 'object',
      required: ['expectedPosition', 'entries'],
      properties: { expectedPosition: { type: 'integer', minimum: 0 }, entries: ledger },
    }),
  },
  responses: {
    200: answer('Where each entry stands.', { type: 'object' }),
    409: problem('Somebody wrote meanwhile, or an id is taken.'),
    413: problem('More than is taken at once.'),
    422: problem('It may not be written now, or is not right.'),
  },
};

export const putJobsPlanning: Json = {
  summary: 'Change the map, the answers or the swap of a job, from the revision the sender knew',
  parameters: [jobParameter],
  requestBody: { required: true, content: jsonOf(ref('Planning')) },
  responses: {
    200: answer('The job as it is now.', ref('Job')),
    404: problem('No such job.'),
    409: problem('Somebody changed it meanwhile.'),
    422: problem('It is not right, or something recorded already would be lost.'),
  },
};

export const putJobsAside: Json = {
  summary: 'Set a job aside, or take it back; nothing of it changes',
  parameters: [jobParameter],
  requestBody: {
    required: true,
    content: jsonOf({ type: 'object', required: ['aside'], properties: { aside: { type: 'boolean' } } }),
  },
  responses: { 200: answer('How it is now.', { type: 'object' }), 404: problem('No such job.') },
};

export const postJobsPutRight: Json = {
  summary: 'Put a job that cannot be read right with a copy from the newest backup that has one',
  parameters: [jobParameter],
  responses: {
    200: answer('It can be read again; what was stored before is kept beside it.', {
      type: 'object',
      required: ['madeAt', 'entries', 'lost'],
      properties: { madeAt: { type: 'string' }, entries: { type: 'integer' }, lost: { type: 'integer' } },
    }),
    404: problem('There is no such job, or no copy of it that can be read.'),
    409: problem('It can be read; there is nothing to put right.'),
  },
};

export const getJobsAsStored: Json = {
  summary: 'What is stored of a job, as text, whether it can be read or not',
  parameters: [jobParameter],
  responses: { 200: answer('The documents as they are.', { type: 'object' }), 404: problem('No such job.') },
};

export const getJobsBundle: Json = {
  summary: 'The job in one file',
  parameters: [jobParameter],
  responses: { 200: answer('The bundle.', ref('Bundle')), 404: problem('No such job.') },
};

export const getJobsBundleZip: Json = {
  summary: 'The job in one file with its photos: job.brisk.json, photos/ and literature/ by their hash',
  parameters: [jobParameter],
  responses: {
    200: { description: 'The file.', content: { 'application/zip': { schema: { type: 'string' } } } },
    404: problem('No such job.'),
  },
};

export const postBundles: Json = {
  summary: 'Take a job in from a bundle, or from a bundle with its photos',
  requestBody: {
    required: true,
    content: { ...jsonOf(ref('Bundle')), 'application/zip': { schema: { type: 'string' } } },
  },
  responses: {
    201: answer('The job is here.', { type: 'object' }),
    400: problem('It cannot be read.'),
    409: problem('It is here already and differs.'),
    413: problem('It is too large.'),
    422: problem('It is not right.'),
    ...overload,
    507: problem('The disk of the server is full.'),
  },
};
