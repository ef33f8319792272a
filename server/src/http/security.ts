import { randomBytes } from 'node:crypto';
import helmet from 'helmet';
import type { RequestHandler, Response } from 'express';
import { ProblemError } from './problem.js';

const LOOPBACK = /^(localhost|127(\.\d+){3}|\[::1\])(:\d+)?$/;

/** The nonce that this answer’s own styles carry. */
export function nonceOf(response: Response): string {
  return String(response.locals['nonce']);
}

/**
 * Strict headers; and while the server listens on this machine alone, requests that another site made a browser send
 * are refused, by their Host (a name made to point here) and by their Origin.
 */
export function security(host: string): readonly RequestHandler[] {
  const local = LOOPBACK.test(host) || host === '::1';
  return [
    (_request, response, next) => {
      response.locals['nonce'] = randomBytes(16).toString('base64');
      next();
    },
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          styleSrc: ["'self'", (_request, response) => `'nonce-${nonceOf(response as Response)}'`],
          imgSrc: ["'self'", 'data:', 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
    (request, _response, next) => {
      const asked = request.headers.host ?? '';
      if (local && !LOOPBACK.test(asked))
        throw new ProblemError('not-allowed', 'This Brisk Ledger answers on this machine only.');
      const { origin } = request.headers;
      if (origin !== undefined && !sameHost(origin, asked))
        throw new ProblemError('not-allowed', 'Another site may not send this.');
      next();
    },
  ];
}

function sameHost(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}
