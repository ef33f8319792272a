import { BUNDLE_FORMAT, BUNDLE_VERSION, type Bundle } from '@brisk/contracts/bundle';
import {
  appendSchema,
  asideSchema,
  newJobSchema,
  type Job,
  type LayoutSummary,
  type LedgerTail,
  type NewJob,
  type PutRightFrom,
} from '@brisk/contracts/job';
import { revisionOf } from '@brisk/contracts/revision';
import type { ShopTemplate } from '@brisk/contracts/shop';
import { MapError } from '@brisk/core/connection-map';
import { completed, compose, isOption, TEMPLATES, templateOf, usualMap } from '@brisk/core/layouts';
import { RULES_NOW } from '@brisk/core/connection-map';
import type { LedgerEntry } from '@brisk/core/ledger';
import { sealOf, sealOn, type Seal } from '@brisk/core/seal';
import { lookAtOf } from '@brisk/core/survey';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { setImmediate as nextTurn } from 'node:timers/promises';
import type { Request } from 'express';
import type { SpareFromBackup } from '../backup/spare.js';
import type { InBackground } from '../background/tasks.js';
import {
  bodyOf,
  bytesOf,
  jsonBody,
  jsonBytes,
  LARGEST_BODY,
  LARGEST_BUNDLE,
  LARGEST_MAP,
  LARGEST_ZIP_BYTES,
  withBodyInFile,
} from '../http/body.js';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { BUNDLES_A_MINUTE, perMinute } from '../http/limits.js';
import { badInput, ProblemError } from '../http/problem.js';
import type { LiteratureStore } from '../literature/literature-store.js';
import { leadsOnly, refuseOthersNames, whoAsked } from '../people/guard.js';
import { photoFile } from '../photos/photo-file.js';
import type { PhotoStore } from '../photos/photo-store.js';
import type { ShopStore } from '../shop/shop-store.js';
import type { JobCards } from './job-cards.js';
import type { JobStore } from './job-store.js';
import * as docs from './openapi.js';
import type { ReadBundle } from './read-bundle.js';
import { slices } from './slices.js';
import { refuseUnworkable } from './workable.js';
import { zipBundle } from './write-zip.js';

/** What the routes of jobs work with. */
export interface JobParts {
  readonly store: JobStore;
  readonly cards: JobCards;
  readonly shop: ShopStore;
  readonly photos: PhotoStore;
  readonly literature: LiteratureStore;
  readonly background: InBackground;
  /** A copy of a job from before, where there is one. */
  readonly spareOf: (job: string) => Promise<SpareFromBackup | undefined>;
  /** Where a file stays while it is looked at, on the disk of the photos. */
  readonly incoming: string;
  readonly now: () => Date;
}

/** Worked out when somebody first asks for them: they are the same as long as the server runs. */
let summaries: readonly LayoutSummary[] | undefined;

/** Jobs, their ledgers and their bundles. */
export function jobRoutes({
  store,
  cards,
  shop,
  photos,
  literature,
  background,
  spareOf,
  incoming,
  now,
}: JobParts): ApiRouter {
  const api = apiRouter();

  api.get('/layouts', docs.getLayouts, (_request, response) => {
    summaries ??= TEMPLATES.map(({ layout }) => summaryOfLayout(layout));
    response.json(summaries);
  });

  api.get('/jobs', docs.getJobs, async (_request, response) => {
    response.json(await cards.summaries());
  });

  api.post('/jobs', docs.postJobs, ...jsonBody(LARGEST_BODY), async (request, response) => {
    const { layout, template, choices, unsure, powerpack, route, ...head } = bodyOf(newJobSchema, request);
    const surveyed = await mapFor(shop, { layout, template, choices, unsure });
    const { map, lookAt, survey } = surveyed;
    const job: Job = {
      ...head,
      createdAt: now().toISOString(),
      revision: 1,
      plan: { map, powerpack, route, ...(lookAt.length > 0 ? { lookAt } : {}), rules: RULES_NOW },
      survey,
    };
    refuseUnworkable(job);
    response.status(201).json(await store.create(JSON.parse(JSON.stringify(job)) as Job));
  });

  api.get('/jobs/:job', docs.getJobsOne, async (request, response) => {
    response.json(await store.withLedger(jobIn(request)));
  });

  api.get('/jobs/:job/ledger', docs.getJobsLedger, async (request, response) => {
    const after = Number(request.query['after'] ?? 0);
    if (!Number.isInteger(after) || after < 0)
      badInput([{ field: 'after', words: 'after has to be a position: nought or a whole number above.' }]);
    const { job, entries } = await store.withLedger(jobIn(request), after);
    const tail: LedgerTail = { entries, revision: revisionOf(job) };
    response.json(tail);
  });

  api.post('/jobs/:job/ledger', docs.postJobsLedger, ...jsonBody(LARGEST_BODY), async (request, response) => {
    const append = bodyOf(appendSchema, request);
    refuseOthersNames(whoAsked(response), append.entries);
    response.json(await store.append(jobIn(request), append));
  });

  api.put(
    '/jobs/:job/planning',
    docs.putJobsPlanning,
    leadsOnly,
    ...jsonBytes(LARGEST_MAP),
    async (request, response) => {
      const planning = await background('read a planning', bytesOf(request));
      response.json(await store.replan(jobIn(request), planning));
    },
  );

  api.put('/jobs/:job/aside', docs.putJobsAside, leadsOnly, ...jsonBody(LARGEST_BODY), async (request, response) => {
    const { aside } = bodyOf(asideSchema, request);
    await store.setAside(jobIn(request), aside);
    response.json({ aside });
  });

  api.get('/jobs/:job/as-stored', docs.getJobsAsStored, async (request, response) => {
    const stored = await store.asStored(jobIn(request));
    response.attachment(`${stored.job.id}.as-stored.json`);
    response.json(stored);
  });

  api.post(
    '/jobs/:job/put-right',
    docs.postJobsPutRight,
    leadsOnly,
    ...jsonBody(LARGEST_BODY),
    async (request, response) => {
      const id = jobIn(request);
      const spare = await spareOf(id);
      if (!spare)
        throw new ProblemError(
          'not-found',
          'No backup holds a copy of this job that can be read. A bundle of it, saved here or on another device before, puts it right when it is taken in.',
        );
      const { instead, lost } = await store.putRightFrom(id, spare);
      const done: PutRightFrom = { madeAt: spare.madeAt, entries: instead.size, lost };
      response.json(done);
    },
  );

  const bundleOf = async (id: string): Promise<Bundle> => {
    const { job, entries } = await store.withLedger(id);
    return {
      format: BUNDLE_FORMAT,
      version: BUNDLE_VERSION,
      exportedAt: now().toISOString(),
      job,
      ledgerLength: entries.length,
      ledger: entries,
      seal: await sealed(job.id, entries),
    };
  };

  api.get('/jobs/:job/bundle', docs.getJobsBundle, async (request, response) => {
    const bundle = await bundleOf(jobIn(request));
    response.attachment(`${fileName(bundle.job.title)}.brisk.json`);
    response.json(bundle);
  });

  api.get('/jobs/:job/bundle.zip', docs.getJobsBundleZip, async (request, response) => {
    const bundle = await bundleOf(jobIn(request));
    const { state } = await store.read(jobIn(request));
    response.attachment(`${fileName(bundle.job.title)}.brisk.zip`);
    response.type('application/zip');
    const files = [
      { named: 'photos', shelf: photos.shelf, names: [...state.photos.keys()].map(photoFile) },
      { named: 'literature', shelf: literature.shelf, names: state.literature.keys() },
    ] as const;
    await zipBundle(bundle, files, response);
  });

  const takeIn = async (read: ReadBundle) => {
    const { job, written } = await store.takeIn(read);
    return { id: job.id, title: job.title, written };
  };
  /** Takes in a bundle and its files; of one that is refused nothing stays. */
  const takeInZip = async (path: string) => {
    const filesInto = `${path}.files`;
    try {
      const read = await background('read a bundle with photos', { path, filesInto });
      const taken = await takeIn(read);
      // Killed in between, the job waits for its files; the same file, sent again, brings them.
      await photos.shelf.takeOver(join(filesInto, 'photos'));
      await literature.shelf.takeOver(join(filesInto, 'literature'));
      return taken;
    } finally {
      await rm(filesInto, { recursive: true, force: true });
    }
  };

  api.post('/bundles', docs.postBundles, perMinute(BUNDLES_A_MINUTE), async (request, response, next) => {
    if (!request.is('application/zip')) next();
    else response.status(201).json(await withBodyInFile(request, incoming, LARGEST_ZIP_BYTES, takeInZip));
  });

  api.post('/bundles', docs.postBundles, ...jsonBytes(LARGEST_BUNDLE), async (request, response) => {
    response.status(201).json(await takeIn(await background('read a bundle', bytesOf(request))));
  });

  return api;
}

function jobIn(request: Request): string {
  const id = String(request.params['job']);
  if (!/^[\w-]{1,80}$/.test(id)) throw new ProblemError('not-found', 'There is no such job here.');
  return id;
}

/** The seal of a ledger; a long one is no reason to keep everybody else waiting. */
async function sealed(job: string, entries: readonly LedgerEntry[]): Promise<Seal> {
  let seal = sealOf(job, []);
  for (const some of slices(entries)) {
    seal = sealOn(seal, some);
    await nextTurn();
  }
  return seal;
}

/** The map a new job begins with: the shop’s own template, or the layout composed with the choices. */
async function mapFor(
  shop: ShopStore,
  { layout, template, choices = {}, unsure = [] }: Pick<NewJob, 'layout' | 'template' | 'choices' | 'unsure'>,
) {
  if (template !== undefined) {
    const kept = await shop.find<ShopTemplate>('template', template);
    if (!kept) badInput([{ field: 'template', words: 'That template of the shop is not here any more.' }]);
    const { map, choices: chosen, layout: from } = kept.document;
    return { map, lookAt: [], survey: { layout: from, template, choices: chosen } };
  }
  try {
    const found = templateOf(layout);
    const known = Object.keys(choices).find((option) => !isOption(option));
    if (known !== undefined) badInput([{ field: 'choices', words: `There is no question “${known}”.` }]);
    const chosen = completed(found, choices);
    const map = compose(found, chosen);
    return {
      map,
      lookAt: lookAtOf(unsure.filter(isOption), chosen),
      survey: { layout, choices: chosen as Readonly<Record<string, string>> },
    };
  } catch (error) {
    if (!(error instanceof MapError)) throw error;
    badInput([{ field: choices && Object.keys(choices).length > 0 ? 'choices' : 'layout', words: error.message }]);
  }
}

function summaryOfLayout(layout: string): LayoutSummary {
  const { name, parts, connections, powerpacks, routes } = usualMap(layout);
  return {
    layout,
    name,
    parts: parts.length,
    connections: connections.length,
    powerpacks: powerpacks.map((powerpack) => ({ id: powerpack.id, name: powerpack.name })),
    routes: routes.map((route) => ({ id: route.id, name: route.name })),
  };
}

function fileName(title: string): string {
  return (
    title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'job'
  );
}
