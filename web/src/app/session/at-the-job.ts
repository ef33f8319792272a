import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { SAID_EVERY_MS } from '@brisk/contracts/here';
import { fromEvent, merge, timer } from 'rxjs';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { v4 as uuid } from 'uuid';
import { Api } from '../api/api';
import { Drawn } from '../ui/drawn';
import { Desk } from './desk';

/** Tells the shed who is at this job on this page, and at which step; and knows who else is. */
@Injectable()
export class AtTheJob {
  private readonly desk = inject(Desk);
  private readonly api = inject(Api);
  private readonly drawn = inject(Drawn);
  private readonly page = uuid();
  /** The job where this page was said to be last, and what was said. */
  private said: { readonly job: string; readonly words: string } | undefined;
  /** The step in hand on this page. */
  readonly step = signal<string | undefined>(undefined);

  /** Others at this job, and at which step each is, by its words. */
  readonly others = computed(() => {
    const operations = this.desk.state()?.work.operations;
    return this.desk
      .here()
      .filter(({ page, by }) => page !== this.page && by !== this.desk.me())
      .map(({ by, step }) => ({ by, step, title: (step && operations?.get(step)?.title) ?? '' }));
  });

  constructor() {
    const visible = () => document.visibilityState === 'visible';
    // Who it is and where they are is said when it changes, and again and again while the page is seen.
    effect((onCleanup) => {
      const words = `${this.desk.me()} ${this.step()}`;
      const job = this.desk.line() === 'up' ? this.desk.job()?.id : undefined;
      if (job === undefined || !visible()) return;
      if (this.said?.job !== job || this.said.words !== words)
        onCleanup(this.drawn.then(() => this.say(job, words), 2));
    });
    merge(timer(SAID_EVERY_MS, SAID_EVERY_MS), fromEvent(document, 'visibilitychange'))
      .pipe(takeUntilDestroyed())
      .subscribe(() => {
        const job = this.desk.job()?.id;
        if (!visible()) this.leave();
        else if (job !== undefined && this.desk.line() === 'up') this.say(job, `${this.desk.me()} ${this.step()}`);
      });
    inject(DestroyRef).onDestroy(() => this.leave());
  }

  private say(job: string, words: string): void {
    if (this.said && this.said.job !== job) this.leave();
    this.said = { job, words };
    const step = this.step();
    const now = { page: this.page, by: this.desk.me(), ...(step === undefined ? {} : { step }) };
    // Who is where is no record: what is not heard is said again soon.
    this.api.here(job, now).subscribe({ error: () => (this.said = undefined) });
  }

  private leave(): void {
    if (!this.said) return;
    this.api.gone(this.said.job, this.page).subscribe({ error: () => undefined });
    this.said = undefined;
  }
}
