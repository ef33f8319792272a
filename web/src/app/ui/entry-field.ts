import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { ErrorStateMatcher } from '@angular/material/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { figureFault, figureIn, figureWords } from '@brisk/core/words';
import { FigureAccessor } from './figure-accessor';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

/**
 * A field somebody writes into: one line, several, a figure, a time of day or a word to look for. It belongs to the
 * control of a form, or, without one, shows `value` and tells what is typed and what it was when the field is left.
 */
@Component({
  selector: 'bl-entry',
  imports: [FigureAccessor, MatFormFieldModule, MatInput, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  preserveWhitespaces: false,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      @switch (type()) {
        @case ('amount') {
          <input
            matInput
            blFigure
            type="text"
            inputmode="decimal"
            [formControl]="inUse()"
            [errorStateMatcher]="matcher"
            [name]="field() ?? ''"
            [placeholder]="placeholder()"
            autocomplete="off"
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
      @if (understood(); as words) {
        <mat-hint aria-live="polite"
          ><span class="understood">{{ words }}</span></mat-hint
        >
      } @else if (hint()) {
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
  /** `amount` and `figure` take a point or a comma: one gives its control the number, the other what was typed. Nobody reads a `secret` or a `pin`. */
  readonly type = input<'line' | 'lines' | 'amount' | 'figure' | 'time' | 'search' | 'secret' | 'pin'>('line');
  readonly hint = input('');
  readonly placeholder = input('');
  readonly unit = input('');
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
      // What somebody else puts there needs no word of how it is understood.
      if (String(value) !== untracked(this.written)) this.written.set('');
    });
    effect(() => {
      this.wrong();
      this.own.updateValueAndValidity();
    });
  }

  /** What is written in the field now, where that is a figure. */
  private readonly written = signal('');
  /** How a figure with a point or a comma is understood, before it is recorded; or why it is not. */
  protected readonly understood = computed(() => {
    const type = this.type();
    const written = this.written().trim();
    if ((type !== 'amount' && type !== 'figure') || written === '') return '';
    const read = figureIn(written);
    if (read === undefined || Number.isNaN(read)) return figureFault(written);
    return /[.,]/.test(written) ? `= ${figureWords(read)} ${this.unit()}`.trimEnd() : '';
  });

  protected tell(event: Event): void {
    this.written.set(textOf(event));
    this.typed.emit(this.plain(event));
  }

  protected leave(event: Event): void {
    this.left.emit(this.plain(event));
  }

  /** What is written, an `amount` as any code reads it. */
  private plain(event: Event): string {
    const written = textOf(event);
    const read = this.type() === 'amount' ? figureIn(written) : undefined;
    return read !== undefined && Number.isFinite(read) ? String(read) : written;
  }
}

function textOf({ target }: Event): string {
  return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? target.value : '';
}
