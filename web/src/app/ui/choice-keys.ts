import {
  afterNextRender,
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  input,
  output,
} from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import type { Choice } from './choice';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

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
export class ChoiceKeys<Value> {
  readonly label = input.required<string>();
  readonly choices = input.required<readonly Choice<Value>[]>();
  /** The label is read out only; what is asked stands above the keys already. */
  readonly unseen = input(false, { transform: booleanAttribute });
  /** Short words: more keys to a line. */
  readonly narrow = input(false, { transform: booleanAttribute });
  /** Whether the form was sent, so that what is wrong is said. */
  readonly sent = input(false);

  readonly control = input<FormControl>();
  readonly value = input<Value>();
  readonly picked = output<Value>();

  private readonly injector = inject(Injector);
  private readonly own = new FormControl<Value | undefined>(undefined);
  protected readonly inUse = computed<FormControl>(() => this.control() ?? this.own);
  protected readonly wrongWith = wrongWith;

  constructor() {
    looksAgain(this.inUse);
    effect(() => this.own.setValue(this.value()));
  }

  protected tell(value: Value): void {
    this.picked.emit(value);
    // Whoever did not take it has it shown as it still is.
    afterNextRender(() => this.own.setValue(this.value()), { injector: this.injector });
  }
}
