import { several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatTabsModule } from '@angular/material/tabs';
import { powerpackOf, routeOf } from '@brisk/core/connection-map';
import { Desk } from '../../session/desk';
import { Keys } from '../../ui/keys';
import { LookAgain } from './look-again';
import { MapDraft } from '../../planning/map-draft';

/** The survey stop of a job: its map, files of it, and, for a swap, its donor. What is being changed is shown above all. */
@Component({
  selector: 'bl-survey',
  imports: [LookAgain, MatButton, MatTabsModule, RouterLink, RouterLinkActive, RouterOutlet],
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

  protected readonly tabs = computed(() => [
    { path: '.', words: 'Map' },
    { path: 'files', words: 'Files' },
    ...(this.facts()?.swap
      ? [
          { path: 'donor', words: 'Donor' },
          { path: 'joints', words: 'Joints' },
          { path: 'pull', words: 'Pull list' },
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
