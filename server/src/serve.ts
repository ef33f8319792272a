import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { rm, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { appOf } from './app.js';
import { poolOf, type Pool } from './background/pool.js';
import { BackupSchedule } from './backup/schedule.js';
import { openDatabase } from './database/open.js';
import { isLocal } from './http/security.js';
import { answerUnreadable } from './http/unreadable-requests.js';
import { newCode } from './people/secrets.js';
import { sweepShelves } from './shelf/sweep.js';
import type { Settings } from './settings.js';
import { certificateFor } from './tls/certificate.js';
import { renewed } from './tls/renewal.js';

const DAY_MS = 86_400_000;
/** How long a line nobody speaks on is kept open. */
const KEPT_OPEN_MS = 75_000;
/** How long requests under way may take to finish once the server is stopped; then they are cut. */
const FINISH_WITHIN_MS = 5_000;

/** A running server. */
export interface Running {
  readonly address: string;
  /** The code with which the first person of a shop is made from a network; absent once there is one, or where nobody needs it. */
  readonly firstCode?: string;
  /** Lets requests that are under way finish for a few seconds, cuts the rest, then closes the database. */
  readonly stop: () => Promise<void>;
}

/** How it is done, where it is not done as usual. */
export interface Ways {
  readonly finishWithinMs?: number;
  readonly pool?: Pool;
  /** Bytes there are left on the disk of the data. */
  readonly room?: () => Promise<number>;
}

/** Opens the data and listens. Throws where the data is in use or the port is taken. */
export async function serve(
  settings: Settings,
  webFolder: string,
  logger: Logger,
  { finishWithinMs = FINISH_WITHIN_MS, pool = poolOf(), room }: Ways = {},
): Promise<Running> {
  const now = () => new Date();
  const { tls } = settings;
  const certified = tls && (() => certificateFor(tls, join(settings.dataFolder, 'tls'), settings.names ?? [], now()));
  const certificate = await certified?.();
  const database = await openDatabase(settings.dataFolder);
  const incomingFolder = join(settings.dataFolder, 'incoming');
  // What was coming in when a server was killed did not come in.
  await rm(incomingFolder, { recursive: true, force: true });
  let closing = false;
  const firstCode = settings.firstCode ?? newCode();
  const backups = settings.backup && new BackupSchedule(settings.dataFolder, settings.backup, now, logger);
  const { app, cards, people, photos, literature } = appOf({
    database,
    logger,
    host: settings.host,
    firstCode,
    demo: settings.demo,
    secure: settings.tls !== undefined,
    names: settings.names ?? [],
    webFolder,
    photoFolder: join(settings.dataFolder, 'photos'),
    literatureFolder: join(settings.dataFolder, 'literature'),
    incomingFolder,
    background: pool.run,
    room: room ?? (() => roomOn(settings.dataFolder)),
    address: settings.address,
    now,
    spareOf: (job) =>
      settings.backup ? pool.run('look for a spare', { into: settings.backup.into, job }) : Promise.resolve(undefined),
    backup: () => backups?.status() ?? {},
    closing: () => closing,
  });
  const secure = certificate && createSecureServer(certificate, app);
  const server: Server = secure ?? createServer(app);
  answerUnreadable(server);
  // Longer than any client waits between two questions: it never asks just as the line is dropped.
  server.keepAliveTimeout = KEPT_OPEN_MS;
  server.headersTimeout = KEPT_OPEN_MS + 5_000;
  try {
    await listening(server, settings);
  } catch (error) {
    await pool.close();
    await database.close();
    throw error;
  }
  backups?.start();
  // After an upgrade every card is made anew; nobody’s question should have to wait for all of them.
  const caughtUp = cards.catchUp(() => closing).catch((error: unknown) => logger.error(error, 'Cards were not made'));
  const sweep = () =>
    void sweepShelves(database, { photos, literature }, now()).catch((error: unknown) =>
      logger.error(error, 'No files were swept'),
    );
  const daily = setInterval(() => {
    sweep();
    if (secure && certified) void renewed(secure, certified, now(), logger);
  }, DAY_MS);
  daily.unref();
  void caughtUp.then(sweep);
  const { port } = server.address() as AddressInfo;
  const host = settings.host.includes(':') ? `[${settings.host}]` : settings.host;
  return {
    address: `${certificate ? 'https' : 'http'}://${host}:${port}`,
    ...(isLocal(settings.host) || !(await people.isEmpty()) ? {} : { firstCode }),
    stop: async () => {
      closing = true;
      clearInterval(daily);
      await new Promise<void>((resolve) => {
        // A connection that has asked nothing yet counts as under way; nobody waits for it for ever.
        const cut = setTimeout(() => server.closeAllConnections(), finishWithinMs);
        server.close(() => {
          clearTimeout(cut);
          resolve();
        });
        server.closeIdleConnections();
      });
      await caughtUp;
      await backups?.stop();
      await pool.close();
      await database.close();
    },
  };
}

async function roomOn(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

function listening(server: Server, { host, port }: Settings): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => {
      server.off('error', reject);
      resolve();
    });
  });
}
