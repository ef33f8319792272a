import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { KEEPINGS, type Keeping } from '@brisk/core/ledger';

const SHORT: Readonly<Record<Keeping, string>> = { bag: 'Bag', hole: 'Its hole', row: 'Row', card: 'Card' };

/** Where the fasteners of this joint are kept, one touch each; the job’s own way is set already. */
@Component({
  selector: 'bl-keeping-choice',
  imports: [MatButtonToggle, MatButtonToggleGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-button-toggle-group aria-label="Where they are kept" [value]="value()" (change)="value.set($event.value)">
      @for (one of keepings; track one) {
        <mat-button-toggle [value]="one">
          {{ words[one] }}
          @if (one === 'bag' && value() === 'bag') {
            <span class="figure">{{ bag() }}</span>
          }
        </mat-button-toggle>
      }
    </mat-button-toggle-group>
  `,
  styles: `
    :host {
      max-width: 100%;
    }
    mat-button-toggle-group {
      flex-wrap: wrap;
      max-width: 100%;
    }
    .figure {
      font-size: 1.375rem;
      font-weight: 700;
    }
  `,
})
export class KeepingChoice {
  readonly value = model.required<Keeping>();
  /** The number the bag would get. */
  readonly bag = input.required<number>();
  protected readonly keepings = KEEPINGS;
  protected readonly words = SHORT;
}
