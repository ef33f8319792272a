import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { possibleNow, type JobState } from '@brisk/core/ledger';
import type { Operation, WorkPhase } from '@brisk/core/teardown';
import { duration, several, STATION_WORDS } from '@brisk/core/words';
import { BayHere } from '../map/bay-here';
import { PhotoStrip } from '../photos/photo-strip';
import { drawnAfter } from '../ui/drawn';
import { InTurn } from '../ui/in-turn';
import { HouseWords } from './house-words';
import { OtherSteps } from './other-steps';
import type { Turns } from './turns';
import { NotFetched } from '../ui/not-fetched';

/** What the working step leaves for later than itself: it is drawn in the frame after, and nothing of it is waited for. */
const FRAMES_AFTER = 2;

/** Beside the step in hand: the bay as one sees it from there, photos, what comes then, and what else could be done now. */
@Component({
  selector: 'bl-beside-step',
  imports: [BayHere, HouseWords, InTurn, MatExpansionModule, NotFetched, OtherSteps, PhotoStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *blInTurn="2">
      @let now = drawn();
      <bl-bay-here [state]="now.state" [connections]="shownConnections()" [station]="now.operation.station" />
      <bl-house-words [operation]="now.operation.id" part="rest" />
      @for (connection of shownConnections(); track connection.id) {
        <bl-photo-strip [state]="now.state" [connection]="connection.id" />
      }
      @if (now.then.length > 0) {
        <h2>Then</h2>
        <ol>
          @for (step of now.then; track step.id) {
            <li>{{ step.title }}</li>
          }
        </ol>
      }
      @if (others().length > 0) {
        <mat-expansion-panel>
          <mat-expansion-panel-header
            >{{ several(others().length, 'other step') }} possible now</mat-expansion-panel-header
          >
          <ng-template matExpansionPanelContent>
            @defer (on immediate) {
              <bl-other-steps [steps]="others()" />
            } @error {
              <bl-not-fetched />
            }
          </ng-template>
        </mat-expansion-panel>
      }
    </ng-container>
  `,
  styleUrl: './beside-step.scss',
})
export class BesideStep {
  readonly state = input.required<JobState>();
  readonly phases = input.required<readonly WorkPhase[]>();
  readonly operation = input.required<Operation>();
  /** What comes after it. */
  readonly then = input.required<readonly Operation[]>();
  readonly turns = input.required<Turns>();
  protected readonly several = several;

  protected readonly drawn = drawnAfter(
    computed(() => ({ state: this.state(), operation: this.operation(), then: this.then() })),
    FRAMES_AFTER,
  );
  protected readonly shownConnections = computed(() => {
    const { state, operation } = this.drawn();
    const connection = state.work.connections.get(operation.connection ?? '');
    return connection ? [connection] : [];
  });
  protected readonly others = computed(() => {
    const { state, operation } = this.drawn();
    return possibleNow(state, this.phases())
      .filter(({ id }) => id !== operation.id)
      .map(({ id, title, station, minutes }) => {
        const people = this.turns().get(id) ?? [];
        return {
          id,
          title,
          where: [`${STATION_WORDS[station]}, ${duration(minutes.likely)}`, people.join(' and ')]
            .filter((words) => words !== '')
            .join(', '),
        };
      });
  });
}
