import type { Job } from '@brisk/contracts/job';
import type { ShopTool } from '@brisk/core/planning';
import { foldLedger, type LedgerEntry } from '@brisk/core/ledger';
import { planned, raisedOnBy, settingsNow } from '@brisk/core/planning';
import type { Half } from '@brisk/core/teardown';
import type { Writing } from '@brisk/core/words';
import { pdfOf } from '../printing/pdf.js';
import { sheetDocument } from './sheet-document.js';

/** What a run sheet is printed from. */
export interface SheetToPrint {
  readonly job: Job;
  readonly entries: readonly LedgerEntry[];
  readonly half: Half;
  readonly tools: readonly ShopTool[];
  readonly nowMs: number;
  /** When it is printed, as it is said in the shop. */
  readonly printed: string;
  readonly writing: Writing;
}

/** The run sheet of one half, planned from where the job stands, as the bytes of a PDF. */
export function printSheet({ job, entries, half, tools, nowMs, printed, writing }: SheetToPrint): Promise<Uint8Array> {
  const state = foldLedger(job.plan, entries);
  const settings = settingsNow(state, half, job.crew, nowMs, raisedOnBy(tools));
  const plan = planned(state, half, settings, state.plans.get(half));
  return pdfOf(sheetDocument(job, state, half, plan, printed, new Date(nowMs), writing));
}
