import { Injectable } from '@angular/core';
import type { LedgerEntry } from '@brisk/core/ledger';

const KEY = 'brisk-outbox:';

/** Entries recorded on this device and not yet on the server, kept over reloads, one list a job. */
@Injectable({ providedIn: 'root' })
export class Outbox {
  /** What waits for `job`, oldest first. A store that cannot be read counts as empty. */
  read(job: string): readonly LedgerEntry[] {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(KEY + job) ?? '[]');
      return Array.isArray(kept) ? (kept as readonly LedgerEntry[]) : [];
    } catch {
      return [];
    }
  }

  /** Keeps `entries` for `job`. Throws where the device has no room left. */
  keep(job: string, entries: readonly LedgerEntry[]): void {
    if (entries.length === 0) localStorage.removeItem(KEY + job);
    else localStorage.setItem(KEY + job, JSON.stringify(entries));
  }
}
