import { booleanAttribute, ChangeDetectionStrategy, Component, input } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { OnePicked } from './one-picked';

/** A handful of answers as keys for a thumb, one of which is down. */
@Component({
  selector: 'bl-choice-keys',
  imports: [MatRadioButton, MatRadioGroup, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend [class.seen-by-reader-only]="unseen()">{{ label() }}</legend>
      <mat-radio-group
        class="keys"
        [formControl]="inUse()"
        [attr.aria-label]="label()"
        [class.narrow]="narrow()"
        (change)="tell($event.value)"
      >
        @for (one of choices(); track one.value) {
          <mat-radio-button [value]="one.value">{{ one.words }}</mat-radio-button>
        }
      </mat-radio-group>
      @if (sent() && wrongWith(inUse())) {
        <p class="marker" role="alert">{{ wrongWith(inUse()) }}</p>
      }
    </fieldset>
  `,
})
export class ChoiceKeys<Value> extends OnePicked<Value> {
  /** Short words: more keys to a line. */
  readonly narrow = input(false, { transform: booleanAttribute });
  /** Whether the form was sent, so that what is wrong is said. */
  readonly sent = input(false);
}
