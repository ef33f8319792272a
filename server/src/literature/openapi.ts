import { answer, overload, problem, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

const anyFile: Json = { schema: { type: 'string' } };

export const postLiterature: Json = {
  summary: 'Keep a file of the literature: a PDF to the byte, a picture upright, a text in UTF-8',
  requestBody: {
    required: true,
    content: { 'application/pdf': anyFile, 'image/*': anyFile, 'text/plain': anyFile },
  },
  responses: {
    201: answer('How it is kept: its name is the SHA-256 of its contents and its ending.', {
      type: 'object',
      required: ['file', 'type', 'pages', 'bytes'],
      properties: {
        file: { type: 'string' },
        type: { enum: ['pdf', 'picture', 'text'] },
        pages: { type: 'integer' },
        bytes: { type: 'integer' },
      },
    }),
    413: problem('It is too large.'),
    422: problem('It is not what it says it is, is locked, or was cut short.'),
    ...overload,
    507: problem('The disk of the server is full.'),
  },
};

export const getLiteratureOne: Json = {
  summary: 'The clean copy of a file of the literature',
  parameters: [
    { name: 'file', in: 'path', required: true, schema: { type: 'string', pattern: '^[0-9a-f]{64}\\.(pdf|jpg|txt)$' } },
  ],
  responses: {
    200: {
      description: 'It never changes.',
      content: { 'application/pdf': anyFile, 'image/jpeg': anyFile, 'text/plain': anyFile },
    },
    404: problem('There is no such file.'),
  },
};
