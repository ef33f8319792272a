import { Injectable } from '@angular/core';
import type { LedgerEntry } from '@brisk/core/ledger';
import { DeviceList } from './device-list';

/**
 * Entries recorded on this device and not yet on the server. Another page that is still open may send the same entries
 * too: their ids keep them from being written twice.
 */
@Injectable({ providedIn: 'root' })
export class Outbox extends DeviceList<LedgerEntry> {
  constructor() {
    super('brisk-outbox:', (entry) => entry);
  }
}
