import { ChangeDetectionStrategy, Component, computed, effect, input, signal, untracked } from '@angular/core';
import { COMMA, ENTER } from '@angular/cdk/keycodes';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import {
  MatAutocomplete,
  MatAutocompleteTrigger,
  MatOption,
  type MatAutocompleteSelectedEvent,
} from '@angular/material/autocomplete';
import { MatChipGrid, MatChipInput, MatChipRemove, MatChipRow } from '@angular/material/chips';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatIcon } from '@angular/material/icon';
import equal from 'fast-deep-equal';
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
      <mat-chip-grid #grid [formControl]="judged">
        @for (name of kept(); track name) {
          <mat-chip-row (removed)="drop(name)">
            {{ name }}
            <button type="button" matChipRemove [attr.aria-label]="'Without ' + name"><mat-icon svgIcon="x" /></button>
          </mat-chip-row>
        }
      </mat-chip-grid>
      <input
        [attr.name]="field()"
        [placeholder]="kept().length === 0 ? placeholder() : ''"
        [value]="typed()"
        [matChipInputFor]="grid"
        [matChipInputSeparatorKeyCodes]="separators"
        [matAutocomplete]="list"
        (input)="write($event)"
        (matChipInputTokenEnd)="keep()"
      />
      <mat-autocomplete #list (optionSelected)="take($event)">
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
  /** What stands as chips; what is being typed after them counts too, so that nothing moves when the field is left. */
  protected readonly kept = signal<readonly string[]>([]);
  protected readonly typed = signal('');
  /** What the grid shows as right or wrong: it would hand its control the chips alone, without what is being typed. */
  protected readonly judged = new FormControl<unknown>(undefined);
  private readonly all = computed(() => [...new Set([...this.kept(), ...namesIn(this.typed())])]);
  /** What is known and not on the list yet. */
  protected readonly offered = computed(() => {
    const sought = this.typed().split(',').at(-1)?.trim().toLowerCase() ?? '';
    return this.known()
      .filter((one) => !this.kept().includes(one) && one.toLowerCase().includes(sought))
      .slice(0, 30);
  });
  protected readonly wrongWith = wrongWith;

  constructor() {
    looksAgain(this.control);
    effect((gone) => {
      const control = this.control();
      this.show(control.value);
      this.judged.setValidators(() => control.errors);
      this.judged.updateValueAndValidity();
      const following = control.valueChanges.subscribe((names) => {
        this.show(names);
        this.judged.updateValueAndValidity();
      });
      gone(() => following.unsubscribe());
    });
  }

  protected write({ target }: Event): void {
    if (!(target instanceof HTMLInputElement)) return;
    this.typed.set(target.value);
    this.tell();
  }

  /** What is typed becomes chips. */
  protected keep(): void {
    this.kept.set(this.all());
    this.typed.set('');
    this.tell();
  }

  protected take({ option }: MatAutocompleteSelectedEvent): void {
    this.typed.set(String(option.value));
    this.keep();
  }

  protected drop(name: string): void {
    this.kept.update((before) => before.filter((one) => one !== name));
    this.tell();
  }

  private tell(): void {
    this.control().setValue(this.all());
  }

  /** Shows what was set from elsewhere; what this field has told itself is shown already. */
  private show(names: readonly string[]): void {
    if (equal(names, untracked(this.all))) return;
    this.kept.set(names);
    this.typed.set('');
  }
}

/** The names in a line of them, parted by commas. */
function namesIn(line: string): readonly string[] {
  return line
    .split(',')
    .map((one) => one.trim())
    .filter((one) => one !== '');
}
