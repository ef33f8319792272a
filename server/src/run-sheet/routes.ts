import { HALVES, type Half } from '@brisk/core/teardown';
import type { ToolList } from '@brisk/contracts/shop';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput } from '../http/problem.js';
import type { InBackground } from '../background/tasks.js';
import { perMinute, PRINTS_A_MINUTE } from '../http/limits.js';
import type { JobStore } from '../jobs/job-store.js';
import type { ShopStore } from '../shop/shop-store.js';
import { sendPdf } from '../printing/send-pdf.js';
import * as docs from './openapi.js';

/** The run sheet that people carry. */
export function runSheetRoutes(store: JobStore, shop: ShopStore, background: InBackground, now: () => Date): ApiRouter {
  const api = apiRouter();
  const printLimit = perMinute(PRINTS_A_MINUTE);

  api.get('/jobs/:job/run-sheet.pdf', docs.getJobsRunSheetPdf, printLimit, async (request, response) => {
    const half = halfOf(request.query['half'] ?? 'out');
    const printed = saidAt(now(), request.query['zone']);
    const { job, state } = await store.read(request.params.job);
    const tools = await shop.find<ToolList>('tools', 'tools');
    const bytes = await background('print a run sheet', {
      job,
      entries: state.entries,
      half,
      tools: tools?.document.tools ?? [],
      nowMs: now().getTime(),
      printed,
    });
    sendPdf(response, bytes, 'run-sheet');
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
