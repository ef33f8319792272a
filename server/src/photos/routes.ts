import { photoName } from '@brisk/contracts/photo-name';
import type { Response } from 'express';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { rawBody } from '../http/body.js';
import { perMinute, PICTURES_A_MINUTE } from '../http/limits.js';
import { ProblemError } from '../http/problem.js';
import type { PhotoStore } from './photo-store.js';
import * as docs from './openapi.js';

/** Largest picture file taken in. */
const LARGEST_PHOTO = '40mb';

/** So many pictures wait to be looked at; whoever comes after that comes again. */
const MOST_WAITING = 24;

/** The picture files. What they show, and what is drawn on them, stands in the ledgers. */
export function photoRoutes(store: PhotoStore): ApiRouter {
  const api = apiRouter();

  api.post(
    '/photos',
    docs.postPhotos,
    perMinute(PICTURES_A_MINUTE),
    (request, _response, next) => {
      if (!request.is(['image/*', 'application/octet-stream']))
        throw new ProblemError('bad-input', 'That is no picture. JPEG, PNG, WebP and HEIC files are taken.', {
          errors: [{ field: 'photo', words: 'A picture is needed.' }],
        });
      if (store.waiting >= MOST_WAITING)
        throw new ProblemError('busy', 'Too many pictures are coming in at once. It is sent again in a moment.');
      next();
    },
    ...rawBody(() => true, LARGEST_PHOTO),
    async (request, response) => {
      const body: unknown = request.body;
      if (!Buffer.isBuffer(body) || body.length === 0)
        throw new ProblemError('bad-input', 'The file is empty. Nothing was kept.', {
          errors: [{ field: 'photo', words: 'The file is empty.' }],
        });
      response.status(201).json(await store.keep(body));
    },
  );

  api.get('/photos/:photo', docs.getPhotosOne, async (request, response) => {
    send(response, await store.file(nameIn(request.params.photo)));
  });

  api.get('/photos/:photo/small', docs.getPhotosSmall, async (request, response) => {
    send(response, await store.smallFile(nameIn(request.params.photo)));
  });

  return api;
}

/** A picture never changes under its name, so a browser may keep it. */
function send(response: Response, file: string): void {
  response.setHeader('cache-control', 'private, max-age=31536000, immutable');
  response.type('image/jpeg').sendFile(file, { cacheControl: false, dotfiles: 'allow' });
}

function nameIn(photo: string): string {
  if (!photoName().isValidSync(photo)) throw new ProblemError('not-found', 'There is no picture of that name.');
  return photo;
}
