import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { type FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { Choice } from './choice';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

/** Nobody reads further down than that: a piece more of the name is typed. */
const MOST = 100;

/** One of a long list, found by typing a piece of its name; whatever is not on the list does not stay. */
@Component({
  selector: 'bl-long-list-pick',
  imports: [MatAutocomplete, MatAutocompleteTrigger, MatFormFieldModule, MatInput, MatOption, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        [formControl]="control()"
        [name]="field() ?? ''"
        [matAutocomplete]="list"
        (input)="look($event)"
        (focus)="begin()"
      />
      <mat-autocomplete #list [displayWith]="inWords()" requireSelection autoActiveFirstOption>
        @for (one of found(); track one.value) {
          <mat-option [value]="one.value">{{ one.words }}</mat-option>
        } @empty {
          <mat-option disabled>Nothing is called that.</mat-option>
        }
      </mat-autocomplete>
      <mat-error>{{ wrongWith(control()) }}</mat-error>
    </mat-form-field>
  `,
  styleUrl: './field.scss',
})
export class LongListPick {
  readonly label = input.required<string>();
  readonly choices = input.required<readonly Choice<string>[]>();
  readonly control = input.required<FormControl>();
  /** What the field is called in its form. */
  readonly field = input<string>();

  protected readonly sought = signal('');
  protected readonly found = computed(() => {
    const pieces = this.sought().toLowerCase().split(/\s+/).filter(Boolean);
    return this.choices()
      .filter(({ words }) => pieces.every((piece) => words.toLowerCase().includes(piece)))
      .slice(0, MOST);
  });
  protected readonly inWords = computed(() => {
    const words = new Map(this.choices().map((one) => [one.value, one.words]));
    return (value: string | null) => words.get(value ?? '') ?? '';
  });
  protected readonly wrongWith = wrongWith;

  constructor() {
    looksAgain(this.control);
  }

  /** Where one was taken before, all of them are offered once more; a piece that was typed still stands. */
  protected begin(): void {
    if (this.control().value) this.sought.set('');
  }

  protected look({ target }: Event): void {
    if (target instanceof HTMLInputElement) this.sought.set(target.value);
  }
}
