import { check } from '@brisk/contracts/check';
import type { AbstractControl, ValidatorFn } from '@angular/forms';
import type { Schema } from 'yup';

/**
 * Holds a control to a Yup schema; the error is a sentence under `yup`. An empty field counts as left out, and spaces
 * around what was typed do not count.
 */
export function yupRule(schema: Schema): ValidatorFn {
  return ({ value }: AbstractControl<unknown>) => {
    const typed = typeof value === 'string' ? value.trim() : value;
    const checked = check(schema, typed === '' || typed === null ? undefined : typed);
    return 'errors' in checked ? { yup: checked.errors[0]?.words ?? 'This is not right.' } : null;
  };
}

/** The sentence of a control's error, or nothing. */
export function wrongWith(control: AbstractControl): string {
  const words: unknown = control.errors?.['yup'];
  return typeof words === 'string' ? words : '';
}
