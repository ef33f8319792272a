import type { OpenDatabase } from '../database/open.js';
import { apiRouter, type ApiRouter } from './api-router.js';
import { bundleJsonSchema, openApiDocument } from './openapi.js';
import { answer } from './openapi-words.js';

/** Whether the server works. */
export function healthRoutes(database: OpenDatabase, now: () => Date): ApiRouter {
  const api = apiRouter();
  const said = {
    summary: 'Whether the server works',
    responses: { 200: answer('It works.', { type: 'object' }) },
  };
  api.get('/health', said, async (_request, response) => {
    await database.orm.em.getConnection().execute('select 1');
    response.json({ status: 'works', at: now().toISOString() });
  });
  return api;
}

/** What the server says of itself: the document of all that is `served`, and the schema of a bundle. */
export function documentRoutes(served: readonly ApiRouter[]): ApiRouter {
  const api = apiRouter();
  const schema = bundleJsonSchema();
  const json = (summary: string) => ({ summary, responses: { 200: answer('As JSON.', { type: 'object' }) } });
  api.get('/openapi.json', json('This document'), (_request, response) => {
    response.json(document);
  });
  api.get('/job-bundle.schema.json', json('The JSON Schema of a job bundle'), (_request, response) => {
    response.json(schema);
  });
  const document = openApiDocument(Object.assign({}, ...[...served, api].map(({ paths }) => paths)));
  return api;
}
