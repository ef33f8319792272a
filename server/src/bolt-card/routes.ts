import { usualPattern } from '@brisk/core/fasteners';
import { setsOf } from '@brisk/core/ledger';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput, ProblemError } from '../http/problem.js';
import type { JobStore } from '../jobs/job-store.js';
import { pdfOf } from '../printing/pdf.js';
import { cardDocument, CardTooLargeError } from './card-document.js';
import * as docs from './openapi.js';

/** The bolt card of a joint, to be printed and have its bolts pushed through. */
export function boltCardRoutes(store: JobStore): ApiRouter {
  const api = apiRouter();

  api.get('/jobs/:job/bolt-cards/:connection', docs.getJobsBoltCardsOne, async (request, response) => {
    const { job, state } = await store.read(request.params.job);
    const connection = state.work.connections.get(request.params.connection);
    if (!connection) throw new ProblemError('not-found', 'There is no such joint on this job.');
    const sets = setsOf(state, connection.id);
    if (sets.length === 0) throw new ProblemError('not-found', 'No fasteners are known of this joint yet.');
    const pattern = state.patterns.get(connection.id) ?? usualPattern(connection, sets);
    try {
      const bytes = await pdfOf(cardDocument(connection.name, job.machine, pattern, sets));
      response.type('application/pdf');
      response.setHeader('content-disposition', 'inline; filename="bolt-card.pdf"');
      response.send(bytes);
    } catch (error) {
      if (error instanceof CardTooLargeError) badInput([{ field: 'pattern', words: error.message }]);
      throw error;
    }
  });

  return api;
}
