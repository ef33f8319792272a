import { houseOf } from '@brisk/core/house';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { ProblemError } from '../http/problem.js';
import type { JobCards } from '../jobs/job-cards.js';
import type { JobStore } from '../jobs/job-store.js';
import * as docs from './openapi.js';

/** Longest question that is looked for. */
const LONGEST_QUESTION = 200;

/** What the shop knows over all its jobs. */
export function houseRoutes(store: JobStore, cards: JobCards): ApiRouter {
  const api = apiRouter();

  api.get('/jobs/:job/house', docs.getJobsHouse, async (request, response) => {
    const { job, state } = await store.read(request.params.job);
    response.json(houseOf(job.machine, state, await cards.pastJobs(job)));
  });

  api.get('/find', docs.getFind, async (request, response) => {
    response.json(await cards.find(String(request.query['q'] ?? '').slice(0, LONGEST_QUESTION)));
  });

  api.get('/jobs-by-code/:code', docs.getJobsByCodeOne, async (request, response) => {
    const job = await store.byCode(request.params.code);
    if (!job) throw new ProblemError('not-found', 'That label belongs to a job that is not on this Brisk Ledger.');
    response.json({ id: job.id, title: job.title });
  });

  return api;
}
