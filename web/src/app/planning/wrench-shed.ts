import { computed, inject, Injectable, signal } from '@angular/core';
import type { KeptRack } from '@brisk/contracts/torque-wrenches';
import { FIRST_RACK, type WrenchRack } from '@brisk/core/torque';
import { tap } from 'rxjs';
import { Api } from '../api/api';
import { KeptDocument } from './kept-document';

/** The torque wrenches and adapters of the shop, and how often each wrench was used since it was calibrated. */
@Injectable({ providedIn: 'root' })
export class WrenchShed {
  private readonly api = inject(Api);
  private readonly counted = signal<KeptRack['uses']>({});
  private readonly list = new KeptDocument<WrenchRack>(
    () => this.api.torqueWrenches().pipe(tap(({ uses }) => this.counted.set(uses))),
    (rack) => this.api.keepTorqueWrenches(rack).pipe(tap(({ uses }) => this.counted.set(uses))),
  );

  readonly trouble = this.list.trouble;
  /** The shop’s own; those every shop begins with until they are known. */
  readonly rack = computed(() => this.list.document() ?? FIRST_RACK);
  readonly loaded = computed(() => this.list.document() !== undefined);
  readonly uses = this.counted.asReadonly();

  constructor() {
    void this.list.load();
  }

  /** Fetches it anew: wrenches are used meanwhile. */
  load(): Promise<void> {
    return this.list.load();
  }

  change(change: (rack: WrenchRack) => WrenchRack): Promise<void> {
    return this.list.change(change);
  }
}
