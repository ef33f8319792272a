import { HALVES, type Half } from '@brisk/core/teardown';
import type { ToolList } from '@brisk/contracts/shop';
import { planned, raisedOnBy, settingsNow } from '@brisk/core/planning';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput } from '../http/problem.js';
import type { JobStore } from '../jobs/job-store.js';
import type { ShopStore } from '../shop/shop-store.js';
import { pdfOf } from '../printing/pdf.js';
import { sheetDocument } from './sheet-document.js';
import * as docs from './openapi.js';

/** The run sheet that people carry. */
export function runSheetRoutes(store: JobStore, shop: ShopStore, now: () => Date): ApiRouter {
  const api = apiRouter();

  api.get('/jobs/:job/run-sheet.pdf', docs.getJobsRunSheetPdf, async (request, response) => {
    const half = halfOf(request.query['half'] ?? 'out');
    const printed = saidAt(now(), request.query['zone']);
    const { job, state } = await store.read(request.params.job);
    const tools = await shop.find<ToolList>('tools', 'tools');
    const settings = settingsNow(state, half, job.crew, now().getTime(), raisedOnBy(tools?.document.tools ?? []));
    const plan = planned(state, half, settings, state.plans.get(half));
    const bytes = await pdfOf(sheetDocument(job, state, half, plan, printed));
    response.type('application/pdf');
    response.setHeader('content-disposition', 'inline; filename="run-sheet.pdf"');
    response.send(bytes);
  });

  return api;
}

/** `date` as it is said where the printer stands; on the server’s own clock where nobody says where that is. */
function saidAt(date: Date, zone: unknown): string {
  if (zone !== undefined && (typeof zone !== 'string' || zone.length > 60)) return noZone();
  try {
    const format = {
      dateStyle: 'medium',
      timeStyle: 'short',
      ...(zone === undefined ? {} : { timeZone: zone }),
    } as const;
    return new Intl.DateTimeFormat('en-GB', format).format(date);
  } catch {
    return noZone();
  }
}

const noZone = () => badInput([{ field: 'zone', words: 'zone has to be a time zone such as Europe/Berlin.' }]);

function halfOf(value: unknown): Half {
  const half = HALVES.find((one) => one === value);
  return half ?? badInput([{ field: 'half', words: 'half has to be out or back.' }]);
}
