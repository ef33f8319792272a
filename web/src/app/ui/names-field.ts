import { ChangeDetectionStrategy, Component, computed, effect, input, signal } from '@angular/core';
import { COMMA, ENTER } from '@angular/cdk/keycodes';
import { type FormControl, ReactiveFormsModule } from '@angular/forms';
import {
  MatAutocomplete,
  MatAutocompleteTrigger,
  MatOption,
  type MatAutocompleteSelectedEvent,
} from '@angular/material/autocomplete';
import { MatChipGrid, MatChipInput, MatChipRemove, MatChipRow, type MatChipInputEvent } from '@angular/material/chips';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatIcon } from '@angular/material/icon';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

/** Several short names, each a chip: typed with commas between, or taken from what is known. */
@Component({
  selector: 'bl-names',
  imports: [
    MatAutocomplete,
    MatAutocompleteTrigger,
    MatChipGrid,
    MatChipInput,
    MatChipRemove,
    MatChipRow,
    MatFormFieldModule,
    MatIcon,
    MatOption,
    ReactiveFormsModule,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  preserveWhitespaces: false,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      <mat-chip-grid #grid [formControl]="control()">
        @for (name of names(); track name) {
          <mat-chip-row (removed)="drop(name)">
            {{ name }}
            <button type="button" matChipRemove [attr.aria-label]="'Without ' + name"><mat-icon svgIcon="x" /></button>
          </mat-chip-row>
        }
        <input
          #written
          [attr.name]="field()"
          [placeholder]="names().length === 0 ? placeholder() : ''"
          [matChipInputFor]="grid"
          [matChipInputSeparatorKeyCodes]="separators"
          [matChipInputAddOnBlur]="true"
          [matAutocomplete]="list"
          (input)="sought.set(written.value)"
          (matChipInputTokenEnd)="add($event)"
        />
      </mat-chip-grid>
      <mat-autocomplete #list (optionSelected)="take($event, written)">
        @for (one of offered(); track one) {
          <mat-option [value]="one">{{ one }}</mat-option>
        }
      </mat-autocomplete>
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
      <mat-error>{{ wrongWith(control()) }}</mat-error>
    </mat-form-field>
  `,
  styleUrl: './field.scss',
})
export class NamesField {
  readonly label = input.required<string>();
  readonly control = input.required<FormControl<readonly string[]>>();
  /** What the field is called in its form. */
  readonly field = input<string>();
  readonly known = input<readonly string[]>([]);
  readonly hint = input('');
  readonly placeholder = input('');

  protected readonly separators = [ENTER, COMMA];
  protected readonly names = signal<readonly string[]>([]);
  protected readonly sought = signal('');
  /** What is known and not on the list yet. */
  protected readonly offered = computed(() => {
    const sought = this.sought().trim().toLowerCase();
    return this.known()
      .filter((one) => !this.names().includes(one) && one.toLowerCase().includes(sought))
      .slice(0, 30);
  });
  protected readonly wrongWith = wrongWith;

  constructor() {
    looksAgain(this.control);
    effect((gone) => {
      const control = this.control();
      this.names.set(control.value);
      const following = control.valueChanges.subscribe((names) => this.names.set(names));
      gone(() => following.unsubscribe());
    });
  }

  protected add({ value, chipInput }: MatChipInputEvent): void {
    chipInput.clear();
    this.sought.set('');
    this.put(value.split(','));
  }

  protected take({ option }: MatAutocompleteSelectedEvent, written: HTMLInputElement): void {
    written.value = '';
    this.sought.set('');
    this.put([String(option.value)]);
  }

  protected drop(name: string): void {
    this.control().setValue(this.names().filter((one) => one !== name));
  }

  private put(more: readonly string[]): void {
    const names = [...this.names(), ...more.map((one) => one.trim()).filter((one) => one !== '')];
    this.control().setValue([...new Set(names)]);
  }
}
