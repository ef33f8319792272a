import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type FormControl, ReactiveFormsModule } from '@angular/forms';
import { MAT_DATE_LOCALE } from '@angular/material/core';
import { MatDatepickerModule } from '@angular/material/datepicker';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MAT_DATE_FNS_FORMATS, provideDateFnsAdapter } from '@angular/material-date-fns-adapter';
import { enGB } from 'date-fns/locale/en-GB';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

/** A day, typed as one writes days or picked from a calendar whose weeks begin on Monday. */
@Component({
  selector: 'bl-day',
  imports: [MatDatepickerModule, MatFormFieldModule, MatInput, ReactiveFormsModule],
  providers: [
    { provide: MAT_DATE_LOCALE, useValue: enGB },
    provideDateFnsAdapter({
      parse: { ...MAT_DATE_FNS_FORMATS.parse, dateInput: ['yyyy-MM-dd', 'd.M.yyyy', 'd/M/yyyy', 'd MMM yyyy'] },
      display: { ...MAT_DATE_FNS_FORMATS.display, dateInput: 'd MMM yyyy' },
    }),
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        [matDatepicker]="calendar"
        [formControl]="control()"
        [name]="field() ?? ''"
        autocomplete="off"
        placeholder="30.11.2026"
      />
      <mat-datepicker-toggle matIconSuffix [for]="calendar" [aria-label]="'Calendar: ' + label()" />
      <mat-datepicker #calendar />
      <mat-error>{{ wrongWith(control()) || 'A day is needed here, as 30.11.2026, or nothing.' }}</mat-error>
    </mat-form-field>
  `,
  styleUrl: './field.scss',
})
export class DayField {
  readonly label = input.required<string>();
  readonly control = input.required<FormControl<Date | null>>();
  /** What the field is called in its form. */
  readonly field = input<string>();
  protected readonly wrongWith = wrongWith;

  constructor() {
    looksAgain(this.control);
  }
}
