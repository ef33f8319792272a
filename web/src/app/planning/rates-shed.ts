import { computed, inject, Injectable } from '@angular/core';
import { USUAL_RATES, type Rates } from '@brisk/core/economics';
import { Api } from '../api/api';
import { KeptDocument } from './kept-document';

/** What the shop reckons with: its money, an hour of work, a litre, a fastener. */
@Injectable({ providedIn: 'root' })
export class RatesShed {
  private readonly api = inject(Api);
  private readonly list = new KeptDocument<Rates>(
    () => this.api.rates(),
    (rates) => this.api.keepRates(rates),
  );

  readonly trouble = this.list.trouble;
  /** The shop’s own; ordinary ones until they are known. */
  readonly rates = computed(() => this.list.document() ?? USUAL_RATES);

  constructor() {
    void this.list.load();
  }

  put(rates: Rates): Promise<void> {
    return this.list.change(() => rates);
  }
}
