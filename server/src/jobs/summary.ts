import type { Job, JobSummary } from '@brisk/contracts/job';
import { standingOf } from '@brisk/core/journey';
import type { JobState } from '@brisk/core/ledger';

/** A job as the yard shows it. */
export function summaryOf({ id, title, machine, reason, crew, dueOn }: Job, state: JobState): JobSummary {
  return { id, title, machine, reason, crew, ...(dueOn ? { dueOn } : {}), ...standingOf(state) };
}
