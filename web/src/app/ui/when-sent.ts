import { Injectable } from '@angular/core';
import type { AbstractControl, FormGroupDirective, NgForm } from '@angular/forms';
import type { ErrorStateMatcher } from '@angular/material/core';

/**
 * Shows what is wrong with a field once the person has tried to send the form, and from then on as they type. Showing it
 * when a field is left would move the key away from under the thumb that is just coming down on it.
 */
@Injectable()
export class WhenSent implements ErrorStateMatcher {
  isErrorState(control: AbstractControl | null, form: FormGroupDirective | NgForm | null): boolean {
    return control !== null && control.invalid && (form?.submitted ?? false);
  }
}
