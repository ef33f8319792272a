import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { ProblemError } from './problem.js';

/** Run sheets that one address may have printed in a minute, and labels, and cards. */
export const PRINTS_A_MINUTE = 120;
/** Bundles that one address may send in a minute. */
export const BUNDLES_A_MINUTE = 120;
/** Pictures that one address may send in a minute: a day’s work that was done without a network. */
export const PICTURES_A_MINUTE = 1_200;

/** Files of the literature that one address may send in a minute. */
export const LITERATURE_A_MINUTE = 120;

/** Times that one address may try to sign in, be let in or take over in a minute. */
export const SIGN_INS_A_MINUTE = 60;

/** Lets one address ask `most` times a minute for what takes the server long. */
export function perMinute(most: number): RequestHandler {
  return rateLimit({
    windowMs: 60_000,
    limit: most,
    standardHeaders: false,
    legacyHeaders: false,
    // Nobody stands between; what such a header says is not looked at.
    validate: { xForwardedForHeader: false },
    handler: () => {
      throw new ProblemError(
        'too-often',
        'This device asks for more than it may in a minute. Nothing was written; try again in a minute.',
      );
    },
  });
}
