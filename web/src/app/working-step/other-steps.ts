import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatListModule } from '@angular/material/list';
import { Selection } from '../session/selection';

/** What else could be done now, each to be taken in hand by a touch. Fetched when it is opened. */
@Component({
  selector: 'bl-other-steps',
  imports: [MatListModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-action-list>
      @for (step of steps(); track step.id) {
        <button mat-list-item class="other" (click)="selection.take(step.id)">
          <span matListItemTitle>{{ step.title }}</span>
          <span matListItemLine>{{ step.where }}</span>
        </button>
      }
    </mat-action-list>
  `,
})
export class OtherSteps {
  readonly steps = input.required<readonly { readonly id: string; readonly title: string; readonly where: string }[]>();
  protected readonly selection = inject(Selection);
}
