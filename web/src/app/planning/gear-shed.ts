import { computed, inject, Injectable } from '@angular/core';
import { FIRST_GEAR, type LiftingGear } from '@brisk/core/rigging';
import equal from 'fast-deep-equal';
import { Api } from '../api/api';
import { KeptDocument } from './kept-document';

/** What the shop lifts with. */
@Injectable({ providedIn: 'root' })
export class GearShed {
  private readonly api = inject(Api);
  private readonly list = new KeptDocument<LiftingGear>(
    () => this.api.liftingGear(),
    (gear) => this.api.keepLiftingGear(gear),
  );

  readonly trouble = this.list.trouble;
  readonly loaded = computed(() => this.list.document() !== undefined);
  /** The shop’s own gear; ordinary gear until it is known. */
  readonly gear = computed(() => this.list.document() ?? FIRST_GEAR);
  /** Whether it is still the gear that ships with the product. */
  readonly madeUp = computed(() => equal(this.gear(), FIRST_GEAR));

  constructor() {
    void this.list.load();
  }

  change(change: (before: LiftingGear) => LiftingGear): Promise<void> {
    return this.list.change(change);
  }
}
