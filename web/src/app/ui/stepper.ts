import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';

/** A count set with a thumb: less, the number, more. */
@Component({
  selector: 'bl-stepper',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="label">{{ label() }}</span>
    <button type="button" [attr.aria-label]="'One less: ' + label()" [disabled]="value() <= least()" (click)="by(-1)">
      −
    </button>
    <output class="figure" aria-live="polite">{{ value() }}</output>
    <button type="button" [attr.aria-label]="'One more: ' + label()" [disabled]="value() >= most()" (click)="by(1)">
      +
    </button>
  `,
  styles: `
    :host {
      display: inline-flex;
      align-items: center;
      gap: 0.5rem;
    }
    button {
      width: 52px;
      height: 52px;
      border: 1px solid var(--work);
      border-radius: 6px;
      background: var(--sheet);
      color: var(--work);
      font: 600 1.5rem/1 var(--text);
      cursor: pointer;
    }
    button:disabled {
      border-color: var(--line);
      color: var(--ink-soft);
      cursor: default;
    }
    output {
      min-width: 2.2ch;
      text-align: center;
      font-size: 1.625rem;
      font-weight: 700;
    }
  `,
})
export class Stepper {
  readonly label = input.required<string>();
  readonly value = model.required<number>();
  readonly least = input(0);
  readonly most = input(1_000);

  protected by(change: number): void {
    this.value.update((value) => Math.min(this.most(), Math.max(this.least(), value + change)));
  }
}
