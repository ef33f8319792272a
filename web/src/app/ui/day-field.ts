import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { type FormControl, ReactiveFormsModule } from '@angular/forms';
import { MAT_DATE_FORMATS, MAT_DATE_LOCALE, type MatDateFormats } from '@angular/material/core';
import { MatDatepickerModule } from '@angular/material/datepicker';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MAT_DATE_FNS_FORMATS, provideDateFnsAdapter } from '@angular/material-date-fns-adapter';
import { enGB } from 'date-fns/locale/en-GB';
import { dayWords, type Writing } from '@brisk/core/words';
import { looksAgain } from './looks-again';
import { Written } from './written';
import { wrongWith } from './yup-rule';

/** Days as the shop writes them; any other way that can be read only one way is understood as well. */
function formatsOf({ days }: Writing): MatDateFormats {
  const others = ['yyyy-MM-dd', 'd.M.yyyy', ...(days === 'MM/dd/yyyy' ? [] : ['d/M/yyyy']), 'd MMM yyyy'];
  return {
    parse: { ...MAT_DATE_FNS_FORMATS.parse, dateInput: [days, ...others] },
    display: { ...MAT_DATE_FNS_FORMATS.display, dateInput: days },
  };
}

const EXAMPLE = '2026-11-30';

/** A day, typed as one writes days or picked from a calendar whose weeks begin on Monday. */
@Component({
  selector: 'bl-day',
  imports: [MatDatepickerModule, MatFormFieldModule, MatInput, ReactiveFormsModule],
  providers: [
    { provide: MAT_DATE_LOCALE, useValue: enGB },
    provideDateFnsAdapter(),
    { provide: MAT_DATE_FORMATS, useFactory: () => formatsOf(inject(Written).as()) },
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
        [placeholder]="example"
      />
      <mat-datepicker-toggle matIconSuffix [for]="calendar" [aria-label]="'Calendar: ' + label()" />
      <mat-datepicker #calendar />
      <mat-error>{{ wrongWith(control()) || 'A day is needed here, as ' + example + ', or nothing.' }}</mat-error>
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
  protected readonly example = dayWords(EXAMPLE, inject(Written).as());

  constructor() {
    looksAgain(this.control);
  }
}
