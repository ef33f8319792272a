import type { Job, JobWithLedger } from '@brisk/contracts/job';
import type { LedgerEntry } from '@brisk/core/ledger';
import type { JobsHere } from '../app/session/jobs-here';

/** What a device keeps of jobs, for as long as a test. */
export class JobsInMemory implements Pick<JobsHere, 'read' | 'keep' | 'forget'> {
  readonly jobs = new Map<string, JobWithLedger>();

  read(id: string): Promise<JobWithLedger | undefined> {
    return Promise.resolve(this.jobs.get(id));
  }

  keep(job: Job, entries: readonly LedgerEntry[]): Promise<void> {
    this.jobs.set(job.id, { job, entries });
    return Promise.resolve();
  }

  forget(): Promise<void> {
    this.jobs.clear();
    return Promise.resolve();
  }
}
