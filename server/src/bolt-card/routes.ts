import { usualPattern } from '@brisk/core/fasteners';
import { setsOf } from '@brisk/core/ledger';
import type { InBackground } from '../background/tasks.js';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { perMinute, PRINTS_A_MINUTE } from '../http/limits.js';
import { ProblemError } from '../http/problem.js';
import type { JobStore } from '../jobs/job-store.js';
import { sendPdf } from '../printing/send-pdf.js';
import * as docs from './openapi.js';

/** The bolt card of a joint, to be printed and have its bolts pushed through. */
export function boltCardRoutes(store: JobStore, background: InBackground): ApiRouter {
  const api = apiRouter();
  const printLimit = perMinute(PRINTS_A_MINUTE);

  api.get('/jobs/:job/bolt-cards/:connection', docs.getJobsBoltCardsOne, printLimit, async (request, response) => {
    const { job, state } = await store.read(request.params.job);
    const connection = state.work.connections.get(request.params.connection);
    if (!connection) throw new ProblemError('not-found', 'There is no such joint on this job.');
    const sets = setsOf(state, connection.id);
    if (sets.length === 0) throw new ProblemError('not-found', 'No fasteners are known of this joint yet.');
    const pattern = state.patterns.get(connection.id) ?? usualPattern(connection, sets);
    const card = { name: connection.name, machine: job.machine, pattern, sets };
    sendPdf(response, await background('print a bolt card', card), 'bolt-card');
  });

  return api;
}
