import { parseCookie } from 'cookie';
import type { Request, RequestHandler, Response } from 'express';
import type { LedgerEntry } from '@brisk/core/ledger';
import { ProblemError } from '../http/problem.js';
import type { PeopleStore, Who } from './people-store.js';

/** The cookie by which a device is known again. */
export const DEVICE_COOKIE = 'brisk-device';
/** What may be asked by anybody: whether the server works, how one stands, and to be let in. */
const FOR_ANYBODY: ReadonlySet<string> = new Set([
  'GET /health',
  'GET /session',
  'POST /session',
  'DELETE /session',
  'POST /session/first',
  'POST /session/join',
  'POST /session/person',
]);
const READS: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/** What a device shows of itself in `request`. */
export function tokenIn(request: Request): string | undefined {
  const token = parseCookie(request.headers.cookie ?? '')[DEVICE_COOKIE];
  return token === undefined || token === '' ? undefined : token;
}

/**
 * Lets nobody further who has not signed in, and lets guests only look. While a shop has no people, whoever is at this
 * machine (`local`) may do anything; on a network nobody may.
 */
export function guard(people: PeopleStore, local: boolean): RequestHandler {
  return async (request, response, next) => {
    if (FOR_ANYBODY.has(`${request.method} ${request.path.toLowerCase().replace(/\/$/, '')}`)) return next();
    if (await people.isEmpty()) {
      if (local) return next();
      throw new ProblemError('sign-in', 'This shop has no people yet. Open its page, and make the first.');
    }
    const who = await people.whoIs(tokenIn(request));
    if (!who) throw new ProblemError('sign-in', 'This device is not let in here, or was put out. Sign in first.');
    if (!who.me) throw new ProblemError('sign-in', 'Nobody is at this device. Say who it is first.');
    if (who.me.role === 'guest' && !READS.has(request.method))
      throw new ProblemError('not-allowed', `${who.me.name} is a guest here and may look. Nothing was written.`);
    response.locals['who'] = who;
    next();
  };
}

/** Who asked, as the {@link guard} found; undefined where nobody has to sign in. */
export function whoAsked(response: Response): Who | undefined {
  return response.locals['who'] as Who | undefined;
}

/** Lets only those further who lead; all, where nobody has to sign in. */
export const leadsOnly: RequestHandler = (_request, response, next) => {
  const me = whoAsked(response)?.me;
  if (me && me.role !== 'lead')
    throw new ProblemError('not-allowed', `That is for those who lead; ${me.name} does not. Nothing was written.`);
  next();
};

/** Throws where one of `entries` is by somebody who has not signed in on the device that sends it, or by a guest. */
export function refuseOthersNames(who: Who | undefined, entries: readonly Pick<LedgerEntry, 'by'>[]): void {
  if (!who) return;
  for (const { by } of entries) {
    const person = who.signedIn.find(({ name }) => name === by);
    if (!person || person.role === 'guest')
      throw new ProblemError(
        'not-allowed',
        `${by} has not signed in on this device${person ? ' as one of the crew' : ''}, so nothing is written under that name. It stays on this device.`,
      );
  }
}
