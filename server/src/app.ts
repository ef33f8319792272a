import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { BackupStatus } from '@brisk/contracts/backup';
import type { SpareFromBackup } from './backup/spare.js';
import { backupRoutes } from './backup/routes.js';
import type { InBackground } from './background/tasks.js';
import { boltCardRoutes } from './bolt-card/routes.js';
import { craneScaleRoutes } from './crane-scale/routes.js';
import type { OpenDatabase } from './database/open.js';
import { besidePdfs } from './http/beside-pdfs.js';
import { documentRoutes, healthRoutes } from './http/own-routes.js';
import { answerProblem, nothingHere, ProblemError } from './http/problem.js';
import { isLocal, security } from './http/security.js';
import { webFiles } from './http/web-files.js';
import { houseRoutes } from './house/routes.js';
import { bellRoutes } from './jobs/bell-routes.js';
import { JobCards } from './jobs/job-cards.js';
import { JobStore } from './jobs/job-store.js';
import { jobRoutes } from './jobs/routes.js';
import { labelRoutes } from './labels/routes.js';
import { LiteratureStore } from './literature/literature-store.js';
import { literatureRoutes } from './literature/routes.js';
import { guard } from './people/guard.js';
import { PeopleStore } from './people/people-store.js';
import { peopleRoutes } from './people/routes.js';
import { PhotoStore } from './photos/photo-store.js';
import { photoRoutes } from './photos/routes.js';
import { runSheetRoutes } from './run-sheet/routes.js';
import { shopRoutes } from './shop/routes.js';
import { benchBoxRoutes } from './bench-box/routes.js';
import { torqueWrenchRoutes } from './torque-wrench/routes.js';
import type { DemoToTry } from './settings.js';
import { ShopStore } from './shop/shop-store.js';
import { usesOf } from './shop/wrench-uses.js';

/** What the application works with; the clock is passed in. */
export interface AppParts {
  readonly database: OpenDatabase;
  readonly logger: Logger;
  readonly host: string;
  /** What the first person has to know where it listens to a network. */
  readonly firstCode: string;
  /** What anybody may try, where the demo is served. */
  readonly demo?: DemoToTry | undefined;
  /** Whether the line is encrypted. */
  readonly secure: boolean;
  /** Names this server answers to on a network, besides its own. */
  readonly names: readonly string[];
  readonly webFolder: string;
  readonly photoFolder: string;
  readonly literatureFolder: string;
  /** Where files stay while they are looked at. */
  readonly incomingFolder: string;
  /** Bytes there are left on the disk of the data. */
  readonly room: () => Promise<number>;
  /** Does what takes long. */
  readonly background: InBackground;
  /** Where the shop’s devices reach this server; absent: where the request came to. */
  readonly address: string | undefined;
  readonly now: () => Date;
  /** A copy of a job from the backups, where there is one. */
  readonly spareOf: (job: string) => Promise<SpareFromBackup | undefined>;
  /** How the backups go. */
  readonly backup: () => BackupStatus;
  /** Turns true when the server is about to stop; nothing new is taken on from then. */
  readonly closing: () => boolean;
}

/** The whole HTTP application, and what it answers from that has to be looked after. */
export interface App {
  readonly app: Express;
  readonly cards: JobCards;
  readonly people: PeopleStore;
  readonly photos: PhotoStore;
  readonly literature: LiteratureStore;
}

/** The application: security first, then the API, then the web files. */
export function appOf({
  database,
  logger,
  host,
  firstCode,
  demo,
  secure,
  names,
  webFolder,
  photoFolder,
  literatureFolder,
  incomingFolder,
  room,
  background,
  address,
  now,
  spareOf,
  backup,
  closing,
}: AppParts): App {
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  // Looking at every request costs as much as answering a small one, so it is done only for those who read it.
  if (logger.isLevelEnabled('debug')) app.use(pinoHttp({ logger, useLevel: 'debug' }));
  app.use(...security(host, names));
  app.use(compression());
  app.use('/api', (_request, response, next) => {
    response.setHeader('cache-control', 'no-store');
    if (closing())
      throw new ProblemError(
        'unavailable',
        'Brisk Ledger is being stopped. What you wrote is kept; try again in a moment.',
      );
    next();
  });
  const shop = new ShopStore(database, now);
  const people = new PeopleStore(database, now);
  const local = isLocal(host);
  app.use('/api', guard(people, local));
  const jobs = new JobStore(database, background, now);
  const cards = new JobCards(database, (id, task) => jobs.while(id, task));
  const photos = new PhotoStore(photoFolder);
  const literature = new LiteratureStore(literatureFolder);
  const served = [
    // The most asked for come first.
    jobRoutes({
      store: jobs,
      cards,
      shop,
      photos,
      literature,
      background,
      spareOf,
      incoming: incomingFolder,
      now,
    }),
    bellRoutes({ store: jobs, people, now, closing }),
    runSheetRoutes(jobs, shop, background, now),
    shopRoutes(shop, background, (rack) => usesOf(database, rack)),
    photoRoutes(photos),
    literatureRoutes(literature, background, incomingFolder),
    labelRoutes(jobs, background, address),
    boltCardRoutes(jobs, background),
    houseRoutes(jobs, cards),
    craneScaleRoutes(closing),
    torqueWrenchRoutes(closing),
    benchBoxRoutes(closing, now),
    peopleRoutes(people, shop, { local, firstCode, secure, ...(demo === undefined ? {} : { demo }) }),
    healthRoutes(database, room, now),
    backupRoutes(backup),
  ];
  for (const { router } of served) app.use('/api', router);
  app.use('/api', documentRoutes(served).router);
  app.use('/api', nothingHere);
  app.use(besidePdfs());
  app.use(webFiles(webFolder));
  app.use(nothingHere);
  app.use(answerProblem(logger));
  return { app, cards, people, photos, literature };
}
