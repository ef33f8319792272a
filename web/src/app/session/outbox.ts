import { Injectable } from '@angular/core';
import type { LedgerEntry } from '@brisk/core/ledger';
import { v4 as uuid } from 'uuid';

const PREFIX = 'brisk-outbox:';

/**
 * Entries recorded on this device and not yet on the server, kept over reloads. Every open page keeps a list of its own
 * for each job, so that two of them never write over each other; whoever opens the job next takes on what is left.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly page = uuid();

  /**
   * What waits for `job`, from this page and from others, oldest first; it is this page's from then on. Another page that
   * is still open may send the same entries too: their ids keep them from being written twice.
   */
  read(job: string): readonly LedgerEntry[] {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(`${PREFIX}${job}:`));
    const waiting = new Map(keys.flatMap(listAt).map((entry) => [entry.id, entry]));
    const entries = [...waiting.values()].sort((one, other) => one.at.localeCompare(other.at));
    this.keep(job, entries);
    for (const key of keys) if (key !== this.key(job)) localStorage.removeItem(key);
    return entries;
  }

  /** Keeps `entries` as all that waits for `job` on this page. Throws where the device has no room left. */
  keep(job: string, entries: readonly LedgerEntry[]): void {
    if (entries.length === 0) localStorage.removeItem(this.key(job));
    else localStorage.setItem(this.key(job), JSON.stringify(entries));
  }

  private key(job: string): string {
    return `${PREFIX}${job}:${this.page}`;
  }
}

/** The list kept under `key`; one that cannot be read counts as empty. */
function listAt(key: string): readonly LedgerEntry[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(kept) ? (kept as readonly LedgerEntry[]) : [];
  } catch {
    return [];
  }
}
