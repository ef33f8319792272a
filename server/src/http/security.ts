import { isIP } from 'node:net';
import { hostname } from 'node:os';
import helmet from 'helmet';
import type { RequestHandler } from 'express';
import { ProblemError } from './problem.js';

const LOOPBACK = /^(localhost|127(\.\d+){3}|\[::1\])(:\d+)?$/;

/** Whether a server that listens at `host` is reached from this machine alone. */
export function isLocal(host: string): boolean {
  return LOOPBACK.test(host) || host === '::1';
}

/**
 * Strict headers; and requests that another site made a browser send are refused, by their Host (a name made to point
 * here) and by their Origin. While the server listens on this machine alone its loopback names are answered; on a network
 * its addresses, its own name, and the `names` the shop has given it.
 */
export function security(host: string, names: readonly string[]): readonly RequestHandler[] {
  const local = isLocal(host);
  const own = hostname().toLowerCase();
  const known = new Set(['localhost', own, `${own}.local`, ...[host, ...names].map((name) => name.toLowerCase())]);
  return [
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // What unpacks scanned pages comes as WebAssembly; no program may be written from words all the same.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
      // Says the same as `frameAncestors`, and not less.
      xFrameOptions: { action: 'deny' },
      referrerPolicy: { policy: 'no-referrer' },
    }),
    (request, _response, next) => {
      // The end of a text, to many a program: what stands after it would be lost.
      if (/%00/.test(request.path)) throw new ProblemError('not-found', 'That address cannot be read.');
      const asked = request.headers.host ?? '';
      if (local && !LOOPBACK.test(asked))
        throw new ProblemError('not-allowed', 'This Brisk Ledger answers on this machine only.');
      if (!local && !isOurs(asked, known))
        throw new ProblemError(
          'not-allowed',
          'This Brisk Ledger does not answer to that name. BRISK_NAMES says which it answers to.',
        );
      const { origin } = request.headers;
      if (origin !== undefined && !sameHost(origin, asked))
        throw new ProblemError('not-allowed', 'Another site may not send this.');
      // Routes are found whichever way their letters are written.
      if (/^\/api\//i.test(request.path) && ELSEWHERE.has(String(request.headers['sec-fetch-site'])))
        throw new ProblemError('not-allowed', 'Another site may not ask for this.');
      next();
    },
  ];
}

/** What browsers say of a request that another site had them make, be it only for a picture. */
const ELSEWHERE = new Set(['cross-site', 'same-site']);

/** Whether a request came to a bare address, which no other site can point elsewhere, or to a name that is known. */
function isOurs(asked: string, known: ReadonlySet<string>): boolean {
  const name = asked
    .toLowerCase()
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '');
  return isIP(name) !== 0 || known.has(name);
}

function sameHost(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}
