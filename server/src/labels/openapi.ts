import { LABEL_KINDS } from '@brisk/core/labels';
import { LABEL_STOCKS } from './label-stock.js';
import { overload, problem, jobParameter, pdf, type Json } from '../http/openapi-words.js';

const labelKind: Json = { name: 'of', in: 'query', required: false, schema: { enum: LABEL_KINDS, default: 'tag' } };
const labelStock: Json = {
  name: 'stock',
  in: 'query',
  required: false,
  schema: { enum: LABEL_STOCKS.map(({ id }) => id), default: 'a4-24' },
};

/* What is said of these routes in the OpenAPI document. */

export const getJobsLabelsPdf: Json = {
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
    ...overload,
  },
};

export const getLabelsRollPdf: Json = {
  summary: 'Labels of numbers beforehand, to be stuck on and then scanned',
  parameters: [
    labelKind,
    labelStock,
    { name: 'from', in: 'query', required: false, schema: { type: 'integer', minimum: 1, default: 1 } },
    { name: 'count', in: 'query', required: false, schema: { type: 'integer', minimum: 1, maximum: 500 } },
  ],
  responses: { 200: pdf('The labels.'), 422: problem('Something asked for is not to be had.'), ...overload },
};
