import type { JobHits } from '@brisk/contracts/house';
import { findIn, wordsAsked } from '@brisk/core/find';
import { houseOf } from '@brisk/core/house';
import { jobCode } from '@brisk/core/labels';
import { Router } from 'express';
import { ProblemError } from '../http/problem.js';
import type { JobStore } from '../jobs/job-store.js';

/** Longest question that is looked for. */
const LONGEST_QUESTION = 200;

/** What the shop knows over all its jobs. */
export function houseRoutes(store: JobStore): Router {
  const router = Router();

  router.get('/jobs/:job/house', async (request, response) => {
    const { job } = await store.read(request.params.job);
    const all = await store.all();
    response.json(
      houseOf(
        all.map(({ job: { id, title, machine }, state }) => ({ id, title, machine, state })),
        job.id,
      ),
    );
  });

  router.get('/find', async (request, response) => {
    const asked = String(request.query['q'] ?? '').slice(0, LONGEST_QUESTION);
    const words = wordsAsked(asked);
    const all = await store.all();
    const found = all.flatMap(({ job: { id, title, machine }, state }): readonly JobHits[] => {
      const hits = findIn(state, words);
      return hits.length > 0 ? [{ id, title, machine, hits }] : [];
    });
    // Whoever looks for a bolt looks for one that is out.
    response.json([...found].sort((one, other) => Number(isOut(other)) - Number(isOut(one))));
  });

  router.get('/jobs-by-code/:code', async (request, response) => {
    const { code } = request.params;
    const jobs = (await store.all()).filter(({ job }) => jobCode(job.id) === code);
    const [first] = jobs;
    if (!first) throw new ProblemError('not-found', 'That label belongs to a job that is not on this Brisk Ledger.');
    response.json({ id: first.job.id, title: first.job.title });
  });

  return router;
}

function isOut({ hits }: JobHits): boolean {
  return hits.some(({ bag }) => bag !== undefined);
}
