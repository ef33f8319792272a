import { Injectable } from '@angular/core';
import type { Job, JobWithLedger } from '@brisk/contracts/job';
import type { LedgerEntry } from '@brisk/core/ledger';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

const DATABASE = 'brisk-jobs';

interface Kept extends DBSchema {
  jobs: { key: string; value: { readonly job: Job; readonly position: number } };
  /** By job and place in its ledger. */
  entries: { key: [string, number]; value: LedgerEntry };
}

/**
 * The jobs that were opened on this device, as the server confirmed them, so that they can be worked on where it is not
 * reached. Each entry is kept by its place in the ledger: what is kept already is not written again.
 */
@Injectable({ providedIn: 'root' })
export class JobsHere {
  private opened: Promise<IDBPDatabase<Kept>> | undefined;
  /** One write after the other: a later one never stands before an earlier. */
  private tail: Promise<void> = Promise.resolve();

  /** The job as it was confirmed last; undefined where it was never opened here, or this browser keeps nothing. */
  async read(id: string): Promise<JobWithLedger | undefined> {
    try {
      const database = await this.database();
      const reading = database.transaction(['jobs', 'entries']);
      const kept = await reading.objectStore('jobs').get(id);
      if (!kept || kept.position === 0) return kept && { job: kept.job, entries: [] };
      const range = IDBKeyRange.bound([id, 0], [id, kept.position - 1]);
      const entries = await reading.objectStore('entries').getAll(range);
      return entries.length === kept.position ? { job: kept.job, entries } : undefined;
    } catch {
      return undefined;
    }
  }

  /** Keeps a job with its whole ledger as the server has it. Where there is no room the device keeps what it had. */
  keep(job: Job, entries: readonly LedgerEntry[]): Promise<void> {
    this.tail = this.tail.then(() => this.write(job, entries)).catch(() => undefined);
    return this.tail;
  }

  /** Forgets every job: this device was put out. */
  async forget(): Promise<void> {
    await this.tail;
    try {
      const database = await this.database();
      await Promise.all([database.clear('jobs'), database.clear('entries')]);
    } catch {
      // Nothing is kept where nothing can be.
    }
  }

  private async write(job: Job, entries: readonly LedgerEntry[]): Promise<void> {
    const database = await this.database();
    const writing = database.transaction(['jobs', 'entries'], 'readwrite');
    const kept = await writing.objectStore('jobs').get(job.id);
    // Another page of this device may be ahead.
    if (kept && kept.position > entries.length) return;
    for (let at = kept?.position ?? 0; at < entries.length; at += 1) {
      const entry = entries[at];
      if (entry) void writing.objectStore('entries').put(entry, [job.id, at]);
    }
    void writing.objectStore('jobs').put({ job, position: entries.length }, job.id);
    await writing.done;
  }

  private database(): Promise<IDBPDatabase<Kept>> {
    this.opened ??= openDB<Kept>(DATABASE, 1, {
      upgrade: (database) => {
        database.createObjectStore('jobs');
        database.createObjectStore('entries');
      },
    });
    return this.opened;
  }
}
