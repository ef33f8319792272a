import { several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { name } from '@brisk/contracts/fields';
import type { ShopTemplate } from '@brisk/contracts/shop';
import { freshId, withFound } from '@brisk/core/map-edit';
import { firstValueFrom } from 'rxjs';
import { Desk } from '../../session/desk';
import { Ask } from '../../ui/ask';
import { Api } from '../../api/api';
import { problemWords } from '../../api/problem-words';

/** Keeps the map of this job, with what was found while working, as the shop’s own for the next such machine. */
@Component({
  selector: 'bl-shop-keep',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="row" aria-label="The shop’s own maps">
      @if (from(); as from) {
        <button matButton="outlined" type="button" [disabled]="working()" (click)="update(from)">
          {{ found() > 0 ? 'Put what we found into the shop’s own map' : 'Put our changes into the shop’s own map' }}
        </button>
      }
      <button matButton="outlined" type="button" [disabled]="working()" (click)="keepNew()">
        Keep as the shop’s own map
      </button>
      <p class="soft">
        @if (found() > 0) {
          {{ several(found(), 'connection') }} found while working go along.
        }
        {{ said() }}
      </p>
      @if (trouble()) {
        <p class="marker" role="alert">{{ trouble() }}</p>
      }
    </section>
  `,
})
export class ShopKeep {
  private readonly desk = inject(Desk);
  private readonly api = inject(Api);
  private readonly ask = inject(Ask);
  protected readonly several = several;
  protected readonly working = signal(false);
  protected readonly trouble = signal('');
  protected readonly said = signal('');

  protected readonly found = computed(() => {
    const state = this.desk.state();
    const here = new Set(state?.plan.map.connections.map(({ id }) => id));
    return state?.found.filter(({ id }) => !here.has(id)).length ?? 0;
  });
  /** The shop’s own map that the job began from. */
  protected readonly from = computed(() => this.desk.job()?.survey?.template);

  protected async keepNew(): Promise<void> {
    const job = this.desk.job();
    if (!job) return;
    const answers = await this.ask.ask({
      title: 'Keep as the shop’s own map',
      words: 'The next survey offers it, without questions. Jobs take a copy, so nothing changes under them.',
      questions: [{ field: 'name', label: 'Name', as: 'line', schema: name().label('Name'), initial: job.machine }],
      action: 'Keep it',
    });
    const said = answers?.['name'];
    if (typeof said !== 'string') return;
    await this.keep(`${freshId(job.plan.map, said)}-${job.id.slice(0, 8)}`, said, 0);
  }

  protected async update(id: string): Promise<void> {
    this.working.set(true);
    try {
      const { revision, document } = await firstValueFrom(this.api.template(id));
      await this.keep(id, document.name, revision);
    } catch (error) {
      this.trouble.set(problemWords(error));
    } finally {
      this.working.set(false);
    }
  }

  private async keep(id: string, called: string, revision: number): Promise<void> {
    const job = this.desk.job();
    const state = this.desk.state();
    if (!job || !state) return;
    const document: ShopTemplate = {
      id,
      name: called,
      layout: job.survey?.layout ?? job.plan.map.layout,
      choices: job.survey?.choices ?? {},
      map: withFound(job.plan.map, state.found),
    };
    this.working.set(true);
    this.trouble.set('');
    try {
      await firstValueFrom(this.api.keepTemplate({ revision, document }));
      this.said.set(`Kept as “${called}”. The next survey offers it.`);
    } catch (error) {
      this.trouble.set(problemWords(error));
    } finally {
      this.working.set(false);
    }
  }
}
