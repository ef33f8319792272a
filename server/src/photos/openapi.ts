import { answer, overload, problem, type Json } from '../http/openapi-words.js';

const pictureOf = (summary: string): Json => ({
  summary,
  parameters: [{ name: 'photo', in: 'path', required: true, schema: { type: 'string', pattern: '^[0-9a-f]{64}$' } }],
  responses: {
    200: { description: 'It never changes.', content: { 'image/jpeg': { schema: { type: 'string' } } } },
    404: problem('There is no such picture.'),
  },
});

/* What is said of these routes in the OpenAPI document. */

export const postPhotos: Json = {
  summary: 'Keep a picture; it is turned upright, made no larger than needed and stripped of all but the picture',
  requestBody: {
    required: true,
    content: { 'image/*': { schema: { type: 'string', contentMediaType: 'image/jpeg' } } },
  },
  responses: {
    201: answer('How it is kept: its name is the SHA-256 of the file.', {
      type: 'object',
      required: ['photo', 'widthPx', 'heightPx', 'bytes'],
      properties: {
        photo: { type: 'string' },
        widthPx: { type: 'integer' },
        heightPx: { type: 'integer' },
        bytes: { type: 'integer' },
      },
    }),
    413: problem('It is too large.'),
    422: problem('It is no picture, or was cut short.'),
    ...overload,
    507: problem('The disk of the server is full.'),
  },
};

export const getPhotosOne: Json = pictureOf('The picture');

export const getPhotosSmall: Json = pictureOf('A small copy of the picture');
