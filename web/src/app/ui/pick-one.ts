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
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import type { Choice } from './choice';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

/** One of a short list. It belongs to the control of a form, or, without one, shows `value` and tells what is picked. */
@Component({
  selector: 'bl-pick',
  imports: [MatFormFieldModule, MatOption, MatSelect, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  preserveWhitespaces: false,
  template: `
    <mat-form-field>
      @if (!unseen()) {
        <mat-label>{{ label() }}</mat-label>
      }
      <mat-select
        [formControl]="inUse()"
        [panelWidth]="null"
        canSelectNullableOptions
        [aria-label]="unseen() ? label() : ''"
        [attr.data-field]="field()"
        (selectionChange)="tell($event.value)"
      >
        @for (one of choices(); track one.value) {
          <mat-option [value]="one.value" [disabled]="one.not !== undefined"
            >{{ one.words }}{{ one.not ? ': ' + one.not : '' }}</mat-option
          >
        }
      </mat-select>
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
      <mat-error>{{ wrongWith(inUse()) }}</mat-error>
    </mat-form-field>
  `,
  styleUrl: './field.scss',
})
export class PickOne<Value> {
  readonly label = input.required<string>();
  readonly choices = input.required<readonly Choice<Value>[]>();
  /** What the field is called in its form. */
  readonly field = input<string>();
  readonly hint = input('');
  /** The label is read out only; what it is about stands beside it. */
  readonly unseen = input(false, { transform: booleanAttribute });

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
