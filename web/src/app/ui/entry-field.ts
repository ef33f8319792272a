import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { ErrorStateMatcher } from '@angular/material/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

/**
 * A field somebody writes into: one line, several, a figure, a time of day or a word to look for. It belongs to the
 * control of a form, or, without one, shows `value` and tells what is typed and what it was when the field is left.
 */
@Component({
  selector: 'bl-entry',
  imports: [MatFormFieldModule, MatInput, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  preserveWhitespaces: false,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      @switch (type()) {
        @case ('number') {
          <input
            matInput
            type="number"
            step="any"
            inputmode="decimal"
            [formControl]="inUse()"
            [errorStateMatcher]="matcher"
            [name]="field() ?? ''"
            [placeholder]="placeholder()"
            [attr.min]="least()"
            [attr.max]="most()"
            (input)="tell($event)"
            (change)="leave($event)"
          />
        }
        @case ('lines') {
          <textarea
            matInput
            rows="2"
            [formControl]="inUse()"
            [errorStateMatcher]="matcher"
            [name]="field() ?? ''"
            [placeholder]="placeholder()"
            (input)="tell($event)"
            (change)="leave($event)"
          ></textarea>
        }
        @default {
          <input
            matInput
            [type]="kind()"
            [attr.inputmode]="inputMode()"
            [formControl]="inUse()"
            [errorStateMatcher]="matcher"
            [name]="field() ?? ''"
            [attr.maxlength]="longest()"
            [placeholder]="placeholder()"
            autocomplete="off"
            (input)="tell($event)"
            (change)="leave($event)"
          />
        }
      }
      @if (unit()) {
        <span matTextSuffix>&nbsp;{{ unit() }}</span>
      }
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
      <mat-error>{{ wrongWith(inUse()) }}</mat-error>
    </mat-form-field>
  `,
  styleUrl: './field.scss',
})
export class EntryField {
  readonly label = input.required<string>();
  /** What the field is called in its form. */
  readonly field = input<string>();
  /** `number` is held to digits by the browser; `figure` takes a comma for a point too; nobody reads a `secret` or a `pin`. */
  readonly type = input<'line' | 'lines' | 'number' | 'figure' | 'time' | 'search' | 'secret' | 'pin'>('line');
  readonly hint = input('');
  readonly placeholder = input('');
  readonly unit = input('');
  readonly least = input<number>();
  readonly most = input<number>();
  readonly longest = input<number>();

  readonly control = input<FormControl>();
  readonly value = input<string | number | undefined>('');
  /** What is wrong with `value`, where there is no control to say so. */
  readonly wrong = input('');
  readonly typed = output<string>();
  readonly left = output<string>();

  private readonly own = new FormControl<string | number>('', {
    nonNullable: true,
    validators: () => (this.wrong() === '' ? null : { yup: this.wrong() }),
  });
  protected readonly inUse = computed<FormControl>(() => this.control() ?? this.own);
  protected readonly kind = computed(() => {
    const type = this.type();
    if (type === 'secret' || type === 'pin') return 'password';
    return type === 'time' || type === 'search' ? type : 'text';
  });
  protected readonly inputMode = computed(() => ({ figure: 'decimal', pin: 'numeric' })[String(this.type())] ?? null);
  protected readonly wrongWith = wrongWith;

  private readonly whenSent = inject(ErrorStateMatcher);
  protected readonly matcher: ErrorStateMatcher = {
    isErrorState: (control, form) => (this.control() ? this.whenSent.isErrorState(control, form) : this.wrong() !== ''),
  };

  constructor() {
    looksAgain(this.inUse);
    effect(() => {
      const value = this.value() ?? '';
      if (value !== this.own.value) this.own.setValue(value);
    });
    effect(() => {
      this.wrong();
      this.own.updateValueAndValidity();
    });
  }

  protected tell(event: Event): void {
    this.typed.emit(textOf(event));
  }

  protected leave(event: Event): void {
    this.left.emit(textOf(event));
  }
}

function textOf({ target }: Event): string {
  return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? target.value : '';
}
