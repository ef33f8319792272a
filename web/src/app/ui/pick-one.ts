import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { OnePicked } from './one-picked';

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
export class PickOne<Value> extends OnePicked<Value> {
  /** What the field is called in its form. */
  readonly field = input<string>();
  readonly hint = input('');
}
