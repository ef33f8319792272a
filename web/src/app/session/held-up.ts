import { Injectable } from '@angular/core';
import type { LedgerEntry } from '@brisk/core/ledger';
import { DeviceList } from './device-list';

/** An entry of this device that could not be written, and why. It stays here until a hand says what becomes of it. */
export interface HeldUp {
  readonly entry: LedgerEntry;
  /** What it says, by the names things had when it was recorded, as far as they are known. */
  readonly says: string;
  /** Why it could not be written. */
  readonly words: string;
  /** Something else stands in the ledger under its id, so that it needs another one. */
  readonly idUsed?: true;
}

/** Entries that are held up on this device. */
@Injectable({ providedIn: 'root' })
export class HeldUpList extends DeviceList<HeldUp> {
  constructor() {
    super('brisk-held-up:', ({ entry }) => entry);
  }
}
