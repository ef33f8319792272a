import { computed, effect, inject, Injectable } from '@angular/core';
import type { ShopWriting } from '@brisk/contracts/shop-writing';
import { CLOCK_FORMS, DAY_FORMS, USUAL_WRITING, type Writing } from '@brisk/core/words';
import { Api } from '../api/api';
import { Written } from '../ui/written';
import { KeptDocument } from './kept-document';

const HERE = 'brisk-ledger writing';

/** How the shop writes, kept on the server; days and times on the device as well, for where that is not reached. */
@Injectable({ providedIn: 'root' })
export class WritingShed {
  private readonly api = inject(Api);
  private readonly written = inject(Written);
  private readonly list = new KeptDocument<ShopWriting>(
    () => this.api.writing(),
    (writing) => this.api.keepWriting(writing),
  );
  private readonly before: ShopWriting = { ...keptHere(), headings: [] };

  readonly trouble = this.list.trouble;
  readonly writing = computed(() => this.list.document() ?? this.before);

  constructor() {
    void this.list.load();
    effect(() => {
      const { days, clock } = this.writing();
      this.written.as.set({ days, clock });
      if (this.list.document()) localStorage.setItem(HERE, JSON.stringify({ days, clock }));
    });
  }

  change(change: (before: ShopWriting) => ShopWriting): Promise<void> {
    return this.list.change(change);
  }
}

function keptHere(): Writing {
  try {
    const { days, clock } = JSON.parse(localStorage.getItem(HERE) ?? '{}') as Partial<Record<keyof Writing, unknown>>;
    return {
      days: DAY_FORMS.find((one) => one === days) ?? USUAL_WRITING.days,
      clock: CLOCK_FORMS.find((one) => one === clock) ?? USUAL_WRITING.clock,
    };
  } catch {
    return USUAL_WRITING;
  }
}
