import type { FieldError } from '@brisk/contracts/check';
import type { Problem, ProblemKind } from '@brisk/contracts/problem';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { isDiskFull } from './disk-full.js';

const STATUS: Readonly<Record<ProblemKind, number>> = {
  'bad-input': 422,
  'not-json': 400,
  'too-large': 413,
  'not-found': 404,
  'stale-position': 409,
  'stale-revision': 409,
  'id-used': 409,
  refused: 422,
  exists: 409,
  'sign-in': 401,
  'not-allowed': 403,
  unavailable: 503,
  busy: 503,
  'too-often': 429,
  'no-room': 507,
  unreadable: 422,
  internal: 500,
};

const TITLE: Readonly<Record<ProblemKind, string>> = {
  'bad-input': 'Something in it is not right',
  'not-json': 'It cannot be read',
  'too-large': 'It is too large',
  'not-found': 'It is not here',
  'stale-position': 'Somebody was quicker',
  'stale-revision': 'Somebody was quicker',
  'id-used': 'That id is taken',
  refused: 'Not now',
  exists: 'It is here already',
  'sign-in': 'Who is it?',
  'not-allowed': 'Not from there',
  unavailable: 'Closing down',
  busy: 'Hands full',
  'too-often': 'Too often',
  'no-room': 'The disk is full',
  unreadable: 'What is stored cannot be read',
  internal: 'Our fault',
};

/** An answer that is not the one asked for, with a sentence for the person who asked. */
export class ProblemError extends Error {
  override readonly name = 'ProblemError';
  constructor(
    readonly kind: ProblemKind,
    detail: string,
    readonly more: {
      readonly errors?: readonly FieldError[];
      readonly position?: number;
      readonly revision?: number;
    } = {},
    options?: ErrorOptions,
  ) {
    super(detail, options);
  }

  toProblem(): Problem {
    return {
      type: `urn:brisk-ledger:${this.kind}`,
      title: TITLE[this.kind],
      status: STATUS[this.kind],
      detail: this.message,
      ...this.more,
    };
  }
}

/** Throws the problem for input with these faults. */
export function badInput(errors: readonly FieldError[]): never {
  const [first] = errors;
  const more = errors.length > 1 ? ` And ${errors.length - 1} more.` : '';
  throw new ProblemError('bad-input', `${first?.words ?? 'It is not right.'}${more}`, { errors });
}

/** Of what somebody asked for, not more than a line is said back. */
const LONGEST_ECHO = 80;

export const nothingHere: RequestHandler = ({ originalUrl }) => {
  const path = originalUrl.replace(/\?.*$/, '');
  const shown = path.length > LONGEST_ECHO ? `${path.slice(0, LONGEST_ECHO)}…` : path;
  throw new ProblemError('not-found', `There is nothing at ${shown}.`);
};

/** Turns whatever was thrown into problem details. */
export function answerProblem(logger: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, _next) => {
    const problem = asProblem(error);
    if (problem.kind === 'internal' || problem.kind === 'unreadable')
      logger.error({ err: error, method: request.method, path: request.path }, 'failed');
    if (problem.kind === 'busy') response.setHeader('retry-after', '5');
    if (problem.kind === 'too-often') response.setHeader('retry-after', '60');
    response.status(STATUS[problem.kind]).type('application/problem+json').send(JSON.stringify(problem.toProblem()));
  };
}

function asProblem(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error;
  if (isDiskFull(error))
    return new ProblemError(
      'no-room',
      'The disk of the server is full. Nothing was written; make room and send it again.',
    );
  switch (bodyParserType(error)) {
    case 'entity.parse.failed':
      return new ProblemError(
        'not-json',
        'The data breaks off or is not JSON. Nothing was written; send it again whole.',
      );
    case 'entity.too.large':
      return new ProblemError('too-large', 'That is more than this takes at once. Nothing was written.');
    case 'encoding.unsupported':
    case 'charset.unsupported':
    case 'request.aborted':
    case 'request.size.invalid':
      return new ProblemError('not-json', 'The data came in a form that cannot be read. Nothing was written.');
    default:
      if (isTheirs(error)) return new ProblemError('not-json', 'The request cannot be read. Nothing was written.');
      if (error instanceof URIError) return new ProblemError('not-found', 'That address cannot be read.');
      return new ProblemError(
        'internal',
        'Something went wrong here; nothing was written. Try again, and look at the log if it stays.',
      );
  }
}

/** Who sent it has gone before all of it was here. */
const BROKEN_OFF = new Set<unknown>(['ECONNRESET', 'ERR_STREAM_PREMATURE_CLOSE', 'ECONNABORTED']);

/** Whether what reads requests found fault with this one: compressed data that is none, a range beyond the end. */
function isTheirs(error: unknown): boolean {
  if (error instanceof Error && 'code' in error && BROKEN_OFF.has(error.code)) return true;
  const status = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 0;
  return status >= 400 && status < 500 && !(error instanceof URIError);
}

function bodyParserType(error: unknown): unknown {
  return typeof error === 'object' && error !== null && 'type' in error ? error.type : undefined;
}
