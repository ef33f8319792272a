import { createWriteStream } from 'node:fs';
import { mkdir, rm } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
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
/** Largest bundle with its photos taken in, in bytes. */
export const LARGEST_ZIP_BYTES = 400_000_000;

const onlyJson: RequestHandler = (request, _response, next) => {
  if (!request.is('application/json'))
    throw new ProblemError('not-json', 'Send it as JSON, with the content type application/json.');
  next();
};

/** Reads a JSON body of at most `limit`; anything of another type is refused. */
export function jsonBody(limit: string): readonly RequestHandler[] {
  return [onlyJson, express.json({ limit, strict: true })];
}

/** Reads a JSON body of at most `limit` as the bytes it came in, for a thread that has the time to look at it. */
export function jsonBytes(limit: string): readonly RequestHandler[] {
  return [onlyJson, ...rawBody(() => true, limit)];
}

/** Reads a body of `type` and at most `limit` as it is; a body of another type is left to whoever comes next. */
export function rawBody(type: string | (() => boolean), limit: string): readonly RequestHandler[] {
  return [express.raw({ type, limit })];
}

/** The bytes of the body of `request`; none where nothing was sent. */
export function bytesOf(request: Request): Uint8Array {
  const body: unknown = request.body;
  return Buffer.isBuffer(body) ? body : new Uint8Array();
}

/**
 * Puts the body of `request` into a file of its own within `folder`, bit by bit, has `use` look at it, and removes it.
 * Throws `too-large` above `mostBytes`.
 */
export async function withBodyInFile<T>(
  request: Request,
  folder: string,
  mostBytes: number,
  use: (path: string) => Promise<T>,
): Promise<T> {
  if ((request.headers['content-encoding'] ?? 'identity') !== 'identity')
    throw new ProblemError('not-json', 'Send the file as it is, not packed once more. Nothing was taken in.');
  const tooLarge = () => new ProblemError('too-large', 'That is more than this takes at once. Nothing was written.');
  if (Number(request.headers['content-length'] ?? 0) > mostBytes) throw tooLarge();
  let bytes = 0;
  const measure = new Transform({
    transform: (chunk: Buffer, _encoding, done) => {
      bytes += chunk.length;
      if (bytes > mostBytes) done(tooLarge());
      else done(null, chunk);
    },
  });
  await mkdir(folder, { recursive: true });
  const path = join(folder, randomUUID());
  try {
    await pipeline(request, measure, createWriteStream(path, { flags: 'wx' }));
    return await use(path);
  } finally {
    await rm(path, { force: true });
  }
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
