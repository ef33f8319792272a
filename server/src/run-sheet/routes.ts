import { HALVES, type Half } from '@brisk/core/teardown';
import { longMomentWords, type Writing } from '@brisk/core/words';
import type { ToolList } from '@brisk/contracts/shop';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput } from '../http/problem.js';
import type { InBackground } from '../background/tasks.js';
import { perMinute, PRINTS_A_MINUTE } from '../http/limits.js';
import type { JobStore } from '../jobs/job-store.js';
import { keptWriting } from '../shop/routes.js';
import type { ShopStore } from '../shop/shop-store.js';
import { sendPdf } from '../printing/send-pdf.js';
import * as docs from './openapi.js';

/** The run sheet that people carry. */
export function runSheetRoutes(store: JobStore, shop: ShopStore, background: InBackground, now: () => Date): ApiRouter {
  const api = apiRouter();
  const printLimit = perMinute(PRINTS_A_MINUTE);

  api.get('/jobs/:job/run-sheet.pdf', docs.getJobsRunSheetPdf, printLimit, async (request, response) => {
    const half = halfOf(request.query['half'] ?? 'out');
    const { document: writing } = await keptWriting(shop);
    const printed = saidAt(now(), request.query['zone'], writing);
    const { job, state } = await store.read(request.params.job);
    const tools = await shop.find<ToolList>('tools', 'tools');
    const bytes = await background('print a run sheet', {
      job,
      entries: state.entries,
      half,
      tools: tools?.document.tools ?? [],
      nowMs: now().getTime(),
      printed,
      writing: { days: writing.days, clock: writing.clock },
    });
    sendPdf(response, bytes, 'run-sheet');
  });

  return api;
}

/** `date` as it is said where the printer stands; on the server’s own clock where nobody says where that is. */
function saidAt(date: Date, zone: unknown, as: Writing): string {
  if (zone !== undefined && (typeof zone !== 'string' || zone.length > 60)) return noZone();
  if (zone === undefined) return longMomentWords(date, as);
  try {
    // On the clock of that zone, as if it were this one’s.
    const parts = new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeStyle: 'medium', timeZone: zone });
    return longMomentWords(parts.format(date).replace(' ', 'T'), as);
  } catch {
    return noZone();
  }
}

const noZone = () => badInput([{ field: 'zone', words: 'zone has to be a time zone such as Europe/Berlin.' }]);

function halfOf(value: unknown): Half {
  const half = HALVES.find((one) => one === value);
  return half ?? badInput([{ field: 'half', words: 'half has to be out or back.' }]);
}
