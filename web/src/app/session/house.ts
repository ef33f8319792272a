import { effect, inject, Injectable, signal } from '@angular/core';
import type { HouseKnowledge } from '@brisk/core/house';
import { firstValueFrom } from 'rxjs';
import { Desk } from './desk';
import { Api } from '../api/api';

const NOTHING: HouseKnowledge = { notes: {}, troubles: {}, minutes: {}, found: [], causes: [] };

/** What the shop learned on other machines of this kind; nothing while the server is away. */
@Injectable()
export class House {
  private readonly api = inject(Api);
  private readonly desk = inject(Desk);
  private readonly known = signal(NOTHING);
  readonly knowledge = this.known.asReadonly();

  constructor() {
    effect(() => {
      const job = this.desk.job()?.id;
      if (job !== undefined) void this.load(job);
    });
  }

  private async load(job: string): Promise<void> {
    try {
      this.known.set(await firstValueFrom(this.api.house(job)));
    } catch {
      // The work goes on without; the hold line says that the server is away.
      this.known.set(NOTHING);
    }
  }
}
