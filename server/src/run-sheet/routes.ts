import { HALVES, type Half } from '@brisk/core/teardown';
import { planned, settingsNow } from '@brisk/core/planning';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput } from '../http/problem.js';
import type { JobStore } from '../jobs/job-store.js';
import { pdfOf } from '../printing/pdf.js';
import { sheetDocument } from './sheet-document.js';
import * as docs from './openapi.js';

/** The run sheet that people carry. */
export function runSheetRoutes(store: JobStore, now: () => Date): ApiRouter {
  const api = apiRouter();

  api.get('/jobs/:job/run-sheet.pdf', docs.getJobsRunSheetPdf, async (request, response) => {
    const half = halfOf(request.query['half'] ?? 'out');
    const { job, state } = await store.read(request.params.job);
    const settings = settingsNow(state, half, job.crew, now().getTime());
    const plan = planned(state, half, settings, state.plans.get(half));
    const bytes = await pdfOf(sheetDocument(job, state, half, plan, now()));
    response.type('application/pdf');
    response.setHeader('content-disposition', 'inline; filename="run-sheet.pdf"');
    response.send(bytes);
  });

  return api;
}

function halfOf(value: unknown): Half {
  const half = HALVES.find((one) => one === value);
  return half ?? badInput([{ field: 'half', words: 'half has to be out or back.' }]);
}
