import { literatureFile } from '@brisk/contracts/literature-file';
import { MOST_LITERATURE, type LiteratureType } from '@brisk/core/literature';
import type { Request } from 'express';
import type { InBackground } from '../background/tasks.js';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { withBodyInFile } from '../http/body.js';
import { LITERATURE_A_MINUTE, perMinute } from '../http/limits.js';
import { ProblemError } from '../http/problem.js';
import type { LiteratureStore } from './literature-store.js';
import * as docs from './openapi.js';

/** The files of the literature. Whose they are, their marks and pins stand in the ledgers. */
export function literatureRoutes(store: LiteratureStore, background: InBackground, incoming: string): ApiRouter {
  const api = apiRouter();

  api.post('/literature', docs.postLiterature, perMinute(LITERATURE_A_MINUTE), async (request, response) => {
    const as = typeSent(request);
    const kept = await withBodyInFile(request, incoming, MOST_LITERATURE.fileBytes, async (path) =>
      store.keep(await background('read literature', { path, as })),
    );
    response.status(201).json(kept);
  });

  api.get('/literature/:file', docs.getLiteratureOne, async (request, response) => {
    const { file } = request.params;
    if (!literatureFile().isValidSync(file)) throw new ProblemError('not-found', 'There is no file of that name.');
    // It never changes under its name. A browser saves it; only our own page opens it.
    response.setHeader('cache-control', 'private, max-age=31536000, immutable');
    response.setHeader('content-disposition', 'attachment');
    response.type(file.endsWith('.txt') ? 'text/plain; charset=utf-8' : file);
    response.sendFile(await store.shelf.file(String(file)), { cacheControl: false, dotfiles: 'allow' });
  });

  return api;
}

function typeSent(request: Request): LiteratureType {
  if (request.is('application/pdf')) return 'pdf';
  if (request.is('image/*')) return 'picture';
  if (request.is('text/*')) return 'text';
  throw new ProblemError('bad-input', 'Literature is kept as PDF, picture or text. Nothing was kept.', {
    errors: [{ field: 'file', words: 'A PDF, a picture or a text is needed.' }],
  });
}
