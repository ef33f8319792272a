import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { powerpackOf, routeOf } from '@brisk/core/connection-map';
import { runSheet } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { HEIGHT_WORDS, STATION_WORDS, duration } from '@brisk/core/words';
import { Desk } from '../desk/desk';
import { Selection } from '../job/selection';
import { several } from '../words/several';
import { HeightLine } from './height-line';

const WAYS: Readonly<Record<'out' | 'back', readonly WorkPhase[]>> = {
  out: ['strip', 'lift'],
  back: ['refit', 'first-start', 'handover'],
};

/** The run sheet: what is left, in setups, with what to carry to each and why each step stands where it does. */
@Component({
  selector: 'bl-plan',
  imports: [HeightLine, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan.html',
  styleUrl: './plan.scss',
})
export class Plan {
  /** Which half is shown, from the address. */
  readonly way = input<string>();
  protected readonly desk = inject(Desk);
  protected readonly selection = inject(Selection);
  protected readonly stations = STATION_WORDS;
  protected readonly heights = HEIGHT_WORDS;
  protected readonly duration = duration;
  protected readonly several = several;

  protected readonly half = computed<'out' | 'back'>(() => (this.way() === 'back' ? 'back' : 'out'));
  protected readonly sheet = computed(() => {
    const state = this.desk.state();
    return state && runSheet(state, WAYS[this.half()]);
  });
  protected readonly set = computed(() => {
    const job = this.desk.job();
    return job && { powerpack: powerpackOf(job.plan).name, route: routeOf(job.plan).name, layout: job.plan.map.name };
  });
  protected readonly begun = computed(() => (this.desk.state()?.progress.size ?? 0) > 0);
}
