import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import type { Differences } from '@brisk/core/planning';
import { duration, several } from '@brisk/core/words';

const MOST = 8;

/** What following another plan would change, in a few lines. */
@Component({
  selector: 'bl-plan-changes',
  imports: [MatExpansionModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan-changes.html',
  styleUrl: './plan-changes.scss',
})
export class PlanChanges {
  readonly differences = input.required<Differences>();
  protected readonly several = several;
  protected readonly most = MOST;

  protected readonly sums = computed(() => {
    const { finishMin, heightChanges, stationMoves, toolFetches } = this.differences();
    const less = (amount: number, words: string) => `${amount < 0 ? '−' : '+'}${words}`;
    return [
      ...(Math.abs(finishMin) >= 0.5 ? [less(finishMin, duration(Math.abs(finishMin)))] : ['as long as before']),
      ...(heightChanges !== 0 ? [less(heightChanges, several(Math.abs(heightChanges), 'machine move'))] : []),
      ...(stationMoves !== 0 ? [less(stationMoves, several(Math.abs(stationMoves), 'walk'))] : []),
      ...(toolFetches !== 0
        ? [less(toolFetches, several(Math.abs(toolFetches), 'tool fetched', 'tools fetched'))]
        : []),
    ];
  });
}
