import { several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NavigationEnd, Router, RouterOutlet } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import { filter, map, startWith } from 'rxjs';
import { powerpackOf, routeOf } from '@brisk/core/connection-map';
import { Desk } from '../../session/desk';
import { Keys } from '../../ui/keys';
import { StopTabs, type StopTab } from '../../ui/stop-tabs';
import { LookAgain } from './look-again';
import { MapDraft } from '../../planning/map-draft';

/** The survey stop of a job: its map, files of it, and, for a swap, its donor. What is being changed is shown above all. */
@Component({
  selector: 'bl-survey',
  imports: [LookAgain, MatButton, RouterOutlet, StopTabs],
  providers: [MapDraft],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './survey.html',
  styleUrl: './survey.scss',
})
export class Survey {
  protected readonly desk = inject(Desk);
  protected readonly draft = inject(MapDraft);
  protected readonly several = several;

  protected readonly facts = computed(() => {
    const job = this.desk.job();
    const state = this.desk.state();
    if (!job || !state) return undefined;
    return {
      job,
      powerpack: powerpackOf(job.plan).name,
      route: routeOf(job.plan).name,
      boundary: state.work.boundary.length,
      swap: job.reason === 'swap',
    };
  });

  private readonly router = inject(Router);
  private readonly address = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(() => this.router.url),
      startWith(this.router.url),
    ),
    { initialValue: this.router.url },
  );
  /** The part that is open. */
  protected readonly here = computed(() => {
    const [part] = this.address().split('/survey/').slice(1);
    return part === undefined ? 'survey' : `survey/${part.replace(/[/?#].*/, '')}`;
  });

  protected readonly tabs = computed((): readonly StopTab[] => [
    { at: 'survey', words: 'Map' },
    { at: 'survey/files', words: 'Files' },
    ...(this.facts()?.swap
      ? [
          { at: 'survey/donor', words: 'Donor' },
          { at: 'survey/joints', words: 'Joints' },
          { at: 'survey/pull', words: 'Pull list' },
        ]
      : []),
  ]);

  constructor() {
    inject(Keys).use(
      { key: 'z', words: 'Map: undo the last change', act: () => this.draft.undo() },
      { key: 'y', words: 'Map: do it again', act: () => this.draft.redo() },
    );
  }

  protected minutes(minutes: number): string {
    return `${Math.abs(Math.round(minutes))} min ${minutes < 0 ? 'less' : 'more'}`;
  }
}
