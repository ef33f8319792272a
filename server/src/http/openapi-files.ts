import { LABEL_KINDS } from '@brisk/core/labels';
import { LABEL_STOCKS } from '../labels/label-sheet.js';
import { answer, jobParameter, problem, type Json } from './openapi-words.js';

const pdf = (description: string): Json => ({
  description,
  content: { 'application/pdf': { schema: { type: 'string' } } },
});
const pictureOf = (summary: string): Json => ({
  summary,
  parameters: [{ name: 'photo', in: 'path', required: true, schema: { type: 'string', pattern: '^[0-9a-f]{64}$' } }],
  responses: {
    200: { description: 'It never changes.', content: { 'image/jpeg': { schema: { type: 'string' } } } },
    404: problem('There is no such picture.'),
  },
});
const labelKind: Json = { name: 'of', in: 'query', required: false, schema: { enum: LABEL_KINDS, default: 'tag' } };
const labelStock: Json = {
  name: 'stock',
  in: 'query',
  required: false,
  schema: { enum: LABEL_STOCKS.map(({ id }) => id), default: 'a4-24' },
};

/** What is answered as a picture or as paper. */
export const filePaths: Json = {
  '/api/photos': {
    post: {
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
        507: problem('The disk of the server is full.'),
      },
    },
  },
  '/api/photos/{photo}': { get: pictureOf('The picture') },
  '/api/photos/{photo}/small': { get: pictureOf('A small copy of the picture') },
  '/api/jobs/{job}/labels.pdf': {
    get: {
      summary: 'Labels for the tags (two each) or the bags of a job',
      parameters: [
        jobParameter,
        labelKind,
        labelStock,
        { name: 'numbers', in: 'query', required: false, schema: { type: 'string' } },
      ],
      responses: {
        200: pdf('The labels.'),
        404: problem('There is nothing to print a label for.'),
        422: problem('Something asked for is not to be had.'),
      },
    },
  },
  '/api/labels/roll.pdf': {
    get: {
      summary: 'Labels of numbers beforehand, to be stuck on and then scanned',
      parameters: [
        labelKind,
        labelStock,
        { name: 'from', in: 'query', required: false, schema: { type: 'integer', minimum: 1, default: 1 } },
        { name: 'count', in: 'query', required: false, schema: { type: 'integer', minimum: 1, maximum: 500 } },
      ],
      responses: { 200: pdf('The labels.'), 422: problem('Something asked for is not to be had.') },
    },
  },
  '/api/jobs/{job}/bolt-cards/{connection}': {
    get: {
      summary: 'The holes of a joint at true scale, to push its bolts through',
      parameters: [jobParameter, { name: 'connection', in: 'path', required: true, schema: { type: 'string' } }],
      responses: {
        200: pdf('The card, on as many sheets as it needs.'),
        404: problem('No such joint, or none of its fasteners are known.'),
        422: problem('It would need too many sheets.'),
      },
    },
  },
};
