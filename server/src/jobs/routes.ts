import { BUNDLE_FORMAT, BUNDLE_VERSION, bundleSchema, notOurBundle, type Bundle } from '@brisk/contracts/bundle';
import { appendSchema, newJobSchema, type Job, type LayoutSummary } from '@brisk/contracts/job';
import { MapError, problemsOf } from '@brisk/core/connection-map';
import { LAYOUTS, layoutOf } from '@brisk/core/layouts';
import { workOf } from '@brisk/core/work';
import { Router, type Request } from 'express';
import { bodyOf, jsonBody, LARGEST_BODY, LARGEST_BUNDLE } from '../http/body.js';
import { badInput, ProblemError } from '../http/problem.js';
import type { JobStore } from './job-store.js';
import { summaryOf } from './summary.js';

/** Jobs, their ledgers and their bundles. */
export function jobRoutes(store: JobStore, now: () => Date): Router {
  const router = Router();

  router.get('/layouts', (_request, response) => {
    response.json(
      LAYOUTS.map(({ layout, name, parts, connections, powerpacks, routes }): LayoutSummary => ({
        layout,
        name,
        parts: parts.length,
        connections: connections.length,
        powerpacks: powerpacks.map((powerpack) => ({ id: powerpack.id, name: powerpack.name })),
        routes: routes.map((route) => ({ id: route.id, name: route.name })),
      })),
    );
  });

  router.get('/jobs', async (_request, response) => {
    const jobs = await store.all();
    response.json(jobs.map(({ job, state }) => summaryOf(job, state)));
  });

  router.post('/jobs', ...jsonBody(LARGEST_BODY), async (request, response) => {
    const { layout, powerpack, route, ...head } = bodyOf(newJobSchema, request);
    const map = layoutOf(layout);
    if (!map) badInput([{ field: 'layout', words: `There is no layout called “${layout}”.` }]);
    const job: Job = { ...head, createdAt: now().toISOString(), plan: { map, powerpack, route } };
    refuseUnworkable(job);
    response.status(201).json(await store.create(JSON.parse(JSON.stringify(job)) as Job));
  });

  router.get('/jobs/:job', async (request, response) => {
    response.json(await store.withLedger(jobIn(request)));
  });

  router.get('/jobs/:job/ledger', async (request, response) => {
    const after = Number(request.query['after'] ?? 0);
    if (!Number.isInteger(after) || after < 0)
      badInput([{ field: 'after', words: 'after has to be a position: nought or a whole number above.' }]);
    const { entries } = await store.withLedger(jobIn(request), after);
    response.json({ entries });
  });

  router.post('/jobs/:job/ledger', ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.append(jobIn(request), bodyOf(appendSchema, request)));
  });

  router.get('/jobs/:job/bundle', async (request, response) => {
    const { job, entries } = await store.withLedger(jobIn(request));
    const bundle: Bundle = {
      format: BUNDLE_FORMAT,
      version: BUNDLE_VERSION,
      exportedAt: now().toISOString(),
      job,
      ledgerLength: entries.length,
      ledger: entries,
    };
    response.attachment(`${fileName(job.title)}.brisk.json`);
    response.json(bundle);
  });

  router.post('/bundles', ...jsonBody(LARGEST_BUNDLE), async (request, response) => {
    const wrong = notOurBundle(request.body);
    if (wrong) badInput([{ field: 'format', words: wrong }]);
    const bundle = bodyOf(bundleSchema, request);
    if (bundle.ledger.length !== bundle.ledgerLength)
      badInput([
        {
          field: 'ledger',
          words: `The bundle was cut short: it says ${bundle.ledgerLength} entries and holds ${bundle.ledger.length}.`,
        },
      ]);
    const problems = problemsOf(bundle.job.plan.map);
    if (problems.length > 0)
      badInput(problems.slice(0, 20).map(({ at, words }) => ({ field: `job.plan.map: ${at}`, words })));
    refuseUnworkable(bundle.job);
    const { job, written } = await store.takeIn(bundle);
    response.status(201).json({ id: job.id, title: job.title, written });
  });

  return router;
}

function jobIn(request: Request): string {
  return String(request.params['job']);
}

/** A map that cannot be worked (a loop, an unknown powerpack) is refused before it is stored. */
function refuseUnworkable({ plan }: Job): void {
  try {
    workOf(plan);
  } catch (error) {
    if (!(error instanceof MapError)) throw error;
    throw new ProblemError('bad-input', error.message, { errors: [{ field: 'plan', words: error.message }] });
  }
}

function fileName(title: string): string {
  return (
    title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'job'
  );
}
