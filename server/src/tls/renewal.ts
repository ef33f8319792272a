import type { Server } from 'node:https';
import type { Logger } from 'pino';
import type { Certificate } from './certificate.js';

const DAY_MS = 86_400_000;
/** With so many days left somebody is told. */
const TELL_WITHIN_DAYS = 14;

/**
 * Has `server` go on with the certificate that `make` gives: one of our own made anew in time, or what the shop has put in
 * the place of its old one. Lines that are open stay so. Where there is none to be had, it goes on with what it has and the
 * log says why.
 */
export async function renewed(
  server: Server,
  make: () => Promise<Certificate>,
  now: Date,
  logger: Logger,
): Promise<void> {
  try {
    const { cert, key, until } = await make();
    server.setSecureContext({ cert, key });
    if (until.getTime() - now.getTime() < TELL_WITHIN_DAYS * DAY_MS)
      logger.warn(`The certificate runs out on ${until.toISOString().slice(0, 10)}.`);
  } catch (error) {
    logger.error(error, 'The certificate could not be made anew');
  }
}
