import { Injectable } from '@angular/core';
import type { Fallen } from '@brisk/core/ledger';
import { DeviceList } from './device-list';

/** An entry of this device that could not be written. It stays here until a hand says what becomes of it. */
export interface HeldUp extends Fallen {
  /** What it says, by the names things had when it was recorded, as far as they are known. */
  readonly says: string;
}

/** Entries that are held up on this device. */
@Injectable({ providedIn: 'root' })
export class HeldUpList extends DeviceList<HeldUp> {
  constructor() {
    super('brisk-held-up:', ({ entry }) => entry);
  }
}
