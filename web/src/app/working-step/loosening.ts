import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { jointNow, type JobState } from '@brisk/core/ledger';
import { BoltDrawing } from './bolt-drawing';

/** Fewer bolts than this come out in any order. */
const MANY_BOLTS = 4;

/** The order in which the bolts of a joint are cracked loose: the tightening turned round, drawn. */
@Component({
  selector: 'bl-loosening',
  imports: [BoltDrawing, MatExpansionModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (joint(); as joint) {
      <mat-expansion-panel>
        <mat-expansion-panel-header>Crack all {{ joint.bolts }} loose first, in this order</mat-expansion-panel-header>
        <ng-template matExpansionPanelContent>
          <bl-bolt-drawing [joint]="joint" [next]="[]" />
          <p class="soft">The tightening turned round, as the holes are drawn; the maker’s own order wins.</p>
        </ng-template>
      </mat-expansion-panel>
    }
  `,
})
export class Loosening {
  readonly state = input.required<JobState>();
  readonly connection = input.required<string>();

  protected readonly joint = computed(() => {
    const now = jointNow(this.state(), this.connection());
    if (!now || now.bolts < MANY_BOLTS) return undefined;
    const none = now.pattern.holes.map(() => 0);
    return { ...now, order: [...now.order].reverse(), done: none, stageAt: 0, missed: [] };
  });
}
