import { check } from '@brisk/contracts/check';
import express, { type Request, type RequestHandler } from 'express';
import type { Schema } from 'yup';
import { badInput, ProblemError } from './problem.js';

/** Largest request body, but for bundles. */
export const LARGEST_BODY = '1mb';
/** Largest request body that carries a map. */
export const LARGEST_MAP = '6mb';
/** Largest bundle taken in. */
export const LARGEST_BUNDLE = '24mb';
/** Largest bundle with its photos taken in. */
export const LARGEST_ZIP = '400mb';

/** Reads a JSON body of at most `limit`; anything of another type is refused. */
export function jsonBody(limit: string): readonly RequestHandler[] {
  return [
    (request, _response, next) => {
      if (!request.is('application/json'))
        throw new ProblemError('not-json', 'Send it as JSON, with the content type application/json.');
      next();
    },
    express.json({ limit, strict: true }),
  ];
}

/** Reads a body of `type` and at most `limit` as it is; a body of another type is left to whoever comes next. */
export function rawBody(type: string | (() => boolean), limit: string): readonly RequestHandler[] {
  return [express.raw({ type, limit })];
}

/** The body of `request`, held against `schema`. Throws the problem that names each field at fault. */
export function bodyOf<T>(schema: Schema<T>, request: Request): T {
  return checked(schema, request.body);
}

/** `value`, held against `schema`. Throws the problem that names each field at fault. */
export function checked<T>(schema: Schema<T>, value: unknown): T {
  const result = check(schema, value);
  return 'value' in result ? result.value : badInput(result.errors);
}
