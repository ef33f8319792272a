import type { LedgerEntry } from '@brisk/core/ledger';
import { v4 as uuid } from 'uuid';

/**
 * A list for each job, kept on this device over reloads. Every open page keeps one of its own, so that two of them never
 * write over each other; whoever opens the job next takes on what is left.
 */
export class DeviceList<Item> {
  private readonly page = uuid();

  constructor(
    private readonly prefix: string,
    private readonly entryOf: (item: Item) => LedgerEntry,
  ) {}

  /** What is kept for `job`, by this page and by others, oldest first; it is this page’s from then on. */
  read(job: string): readonly Item[] {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(`${this.prefix}${job}:`));
    const kept = new Map(keys.flatMap((key) => this.listAt(key)).map((item) => [this.entryOf(item).id, item]));
    const items = [...kept.values()].sort((one, other) => this.entryOf(one).at.localeCompare(this.entryOf(other).at));
    this.keep(job, items);
    for (const key of keys) if (key !== this.key(job)) localStorage.removeItem(key);
    return items;
  }

  /** Keeps `items` as all there is for `job` on this page. Throws where the device has no room left. */
  keep(job: string, items: readonly Item[]): void {
    if (items.length === 0) localStorage.removeItem(this.key(job));
    else localStorage.setItem(this.key(job), JSON.stringify(items));
  }

  private key(job: string): string {
    return `${this.prefix}${job}:${this.page}`;
  }

  /** The list kept under `key`, without what is none of ours; one that cannot be read counts as empty. */
  private listAt(key: string): readonly Item[] {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
      return Array.isArray(kept) ? (kept as readonly Item[]).filter((item) => this.isOurs(item)) : [];
    } catch {
      return [];
    }
  }

  private isOurs(item: Item | null): boolean {
    const entry = item && (this.entryOf(item) as Partial<LedgerEntry> | undefined);
    return typeof entry?.id === 'string' && typeof entry.at === 'string';
  }
}
