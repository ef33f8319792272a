import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { KEEPINGS, type Keeping } from '@brisk/core/ledger';

const SHORT: Readonly<Record<Keeping, string>> = { bag: 'Bag', hole: 'Its hole', row: 'Row', card: 'Card' };

/** Where the fasteners of this joint are kept, one touch each; the job’s own way is set already. */
@Component({
  selector: 'bl-keeping-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend class="seen-by-reader-only">Where they are kept</legend>
      @for (one of keepings; track one) {
        <label [class.on]="value() === one">
          <input
            type="radio"
            name="keeping"
            class="seen-by-reader-only"
            [checked]="value() === one"
            (change)="value.set(one)"
          />
          {{ words[one] }}
          @if (one === 'bag' && value() === 'bag') {
            <span class="figure">{{ bag() }}</span>
          }
        </label>
      }
    </fieldset>
  `,
  styles: `
    fieldset {
      display: inline-flex;
      border: 1px solid var(--work);
      border-radius: 6px;
      overflow: clip;
    }
    label {
      display: inline-flex;
      align-items: center;
      gap: 0.5rem;
      min-height: 52px;
      padding: 0 0.9rem;
      cursor: pointer;
    }
    label + label {
      border-left: 1px solid var(--work);
    }
    label.on {
      background: var(--work);
      color: var(--on-work);
      font-weight: 600;
    }
    label:has(:focus-visible) {
      outline: 3px solid var(--marker);
      outline-offset: -3px;
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
