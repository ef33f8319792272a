import { LABEL_KINDS, labelsOf, rollLabels, type LabelKind } from '@brisk/core/labels';
import type { Request } from 'express';
import type { InBackground } from '../background/tasks.js';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { perMinute, PRINTS_A_MINUTE } from '../http/limits.js';
import { badInput, ProblemError } from '../http/problem.js';
import type { JobStore } from '../jobs/job-store.js';
import { sendPdf } from '../printing/send-pdf.js';
import { LABEL_STOCKS, type LabelStock } from './label-stock.js';
import * as docs from './openapi.js';

/** Most numbers of a roll printed at once. */
const MOST_OF_A_ROLL = 500;

/** Labels to print: those of a job, and rolls of numbers beforehand. `address`: where the shop’s devices reach this. */
export function labelRoutes(store: JobStore, background: InBackground, address: string | undefined): ApiRouter {
  const api = apiRouter();
  const printLimit = perMinute(PRINTS_A_MINUTE);
  const addressFor = (request: Request) => address ?? `${request.protocol}://${request.headers.host ?? 'localhost'}`;

  api.get('/jobs/:job/labels.pdf', docs.getJobsLabelsPdf, printLimit, async (request, response) => {
    const { job, state } = await store.read(request.params.job);
    const is = kindIn(request);
    const numbers = numbersIn(request);
    const labels = labelsOf(state, job.id, is).filter(({ number }) => numbers === undefined || numbers.has(number));
    if (labels.length === 0)
      throw new ProblemError('not-found', `There is no ${is} on this job to print a label for yet.`);
    const asked = { labels, stock: stockIn(request), address: addressFor(request), machine: job.machine };
    sendPdf(response, await background('print labels', asked), `${is}-labels`);
  });

  api.get('/labels/roll.pdf', docs.getLabelsRollPdf, printLimit, async (request, response) => {
    const from = wholeIn(request, 'from', 1, 99_999, 1);
    const count = wholeIn(request, 'count', 1, MOST_OF_A_ROLL, 50);
    const labels = rollLabels(kindIn(request), from, count);
    const asked = { labels, stock: stockIn(request), address: addressFor(request), machine: '' };
    sendPdf(response, await background('print labels', asked), 'roll');
  });

  return api;
}

function kindIn({ query }: Request): LabelKind {
  const asked = query['of'] ?? 'tag';
  return LABEL_KINDS.find((kind) => kind === asked) ?? badInput([{ field: 'of', words: 'of has to be tag or bag.' }]);
}

function stockIn({ query }: Request): LabelStock {
  const asked = query['stock'] ?? 'a4-24';
  const words = `stock has to be one of ${LABEL_STOCKS.map(({ id }) => id).join(', ')}.`;
  return LABEL_STOCKS.find(({ id }) => id === asked) ?? badInput([{ field: 'stock', words }]);
}

function numbersIn({ query }: Request): ReadonlySet<number> | undefined {
  const asked = query['numbers'];
  if (asked === undefined) return undefined;
  const numbers = String(asked).split(',').map(Number);
  if (numbers.length > 1_000 || numbers.some((number) => !Number.isInteger(number) || number < 1))
    badInput([{ field: 'numbers', words: 'numbers has to be whole numbers with commas between them.' }]);
  return new Set(numbers);
}

function wholeIn({ query }: Request, field: string, least: number, most: number, usual: number): number {
  const value = Number(query[field] ?? usual);
  if (!Number.isInteger(value) || value < least || value > most)
    badInput([{ field, words: `${field} has to be a whole number from ${least} to ${most}.` }]);
  return value;
}
