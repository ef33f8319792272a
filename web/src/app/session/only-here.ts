import { signal } from '@angular/core';
import type { LedgerEntry } from '@brisk/core/ledger';
import type { HeldUp, HeldUpList } from './held-up';
import type { Outbox } from './outbox';

/**
 * Entries of the open job that only this device has: those that wait to be sent, and those that could not be written.
 * They are kept on the device before they are shown.
 */
export class OnlyHere {
  private job = '';
  private readonly waits = signal<readonly LedgerEntry[]>([]);
  private readonly held = signal<readonly HeldUp[]>([]);

  readonly waiting = this.waits.asReadonly();
  readonly heldUp = this.held.asReadonly();

  constructor(
    private readonly outbox: Outbox,
    private readonly heldUpList: HeldUpList,
  ) {}

  /** Takes on what this device has of `job`. */
  open(job: string): void {
    this.job = job;
    this.waits.set(this.outbox.read(job));
    this.held.set(this.heldUpList.read(job));
  }

  /** Whether `entries` are all that waits. */
  isAll(entries: readonly LedgerEntry[]): boolean {
    const waits = this.waits();
    return waits.length === entries.length && waits.every(({ id }, index) => id === entries[index]?.id);
  }

  /** Keeps `entries` as all that waits. Throws where the device has no room left, and then all is as before. */
  keep(entries: readonly LedgerEntry[]): void {
    this.outbox.keep(this.job, entries);
    this.waits.set(entries);
  }

  /**
   * Only `entries` wait any more: the server has the others. Those are kept as well until they are `written` with the job on this
   * device, or a reload in between would show it without them.
   */
  confirm(entries: readonly LedgerEntry[], written: Promise<void>): void {
    const { job } = this;
    this.waits.set(entries);
    void written.then(() => this.outbox.keep(job, job === this.job ? this.waits() : entries));
  }

  /** Keeps `entries` as what waits, and `fallen` with what is held up: for a moment twice, where there is room for it. */
  holdUp(entries: readonly LedgerEntry[], fallen: readonly HeldUp[]): void {
    const ids = new Set(fallen.map(({ entry }) => entry.id));
    const held = [...this.held().filter(({ entry }) => !ids.has(entry.id)), ...fallen];
    try {
      this.heldUpList.keep(this.job, held);
      this.keep(entries);
    } catch {
      this.keep(entries);
      this.heldUpList.keep(this.job, held);
    }
    this.held.set(held);
  }

  /** Drops what is held up under `id` for good. */
  letGo(id: string): void {
    const left = this.held().filter(({ entry }) => entry.id !== id);
    this.heldUpList.keep(this.job, left);
    this.held.set(left);
  }
}
