import type { OpenDatabase } from '../database/open.js';
import { apiRouter, type ApiRouter } from './api-router.js';
import { bundleJsonSchema, openApiDocument } from './openapi.js';
import { answer, problem } from './openapi-words.js';
import { ProblemError } from './problem.js';

/** With less room than this a picture or two would fill the disk. */
const LEAST_ROOM_BYTES = 64_000_000;

/** Whether the server works: it can read what it keeps, and there is room (`room`, in bytes) for more. */
export function healthRoutes(database: OpenDatabase, room: () => Promise<number>, now: () => Date): ApiRouter {
  const api = apiRouter();
  const said = {
    summary: 'Whether the server works',
    responses: {
      200: answer('It works.', { type: 'object' }),
      507: problem('It can be read, and there is no room on its disk for more.'),
    },
  };
  api.get('/health', said, async (_request, response) => {
    await database.orm.em.getConnection().execute('select 1');
    if ((await room()) < LEAST_ROOM_BYTES)
      throw new ProblemError(
        'no-room',
        'The disk of the server is as good as full. What is kept can be read; make room before more is written.',
      );
    response.json({ status: 'works', at: now().toISOString() });
  });
  return api;
}

/** What the server says of itself: the document of all that is `served`, and the schema of a bundle. */
export function documentRoutes(served: readonly ApiRouter[]): ApiRouter {
  const api = apiRouter();
  const json = (summary: string) => ({ summary, responses: { 200: answer('As JSON.', { type: 'object' }) } });
  const schema = whenAsked(bundleJsonSchema);
  const document = whenAsked(() => openApiDocument(Object.assign({}, ...[...served, api].map(({ paths }) => paths))));
  api.get('/openapi.json', json('This document'), (_request, response) => {
    response.json(document());
  });
  api.get('/job-bundle.schema.json', json('The JSON Schema of a job bundle'), (_request, response) => {
    response.json(schema());
  });
  return api;
}

/** What `make` gives, made once, when it is first asked for: a start does not wait for what few ask for. */
function whenAsked<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}
