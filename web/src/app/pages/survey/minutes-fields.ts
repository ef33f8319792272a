import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { FormControl, FormGroup } from '@angular/forms';
import { EntryField } from '../../ui/entry-field';

/** How long something takes: when it goes well, as a rule, when it fights back. */
@Component({
  selector: 'bl-minutes-fields',
  imports: [EntryField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>{{ label() }}</legend>
      <div class="trio">
        <bl-entry
          type="amount"
          label="It goes well"
          unit="min"
          [field]="field() + '-low'"
          [control]="minutes().controls.low"
        />
        <bl-entry
          type="amount"
          label="As a rule"
          unit="min"
          [field]="field() + '-likely'"
          [control]="minutes().controls.likely"
        />
        <bl-entry
          type="amount"
          label="It fights back"
          unit="min"
          [field]="field() + '-high'"
          [control]="minutes().controls.high"
        />
      </div>
    </fieldset>
  `,
  styles: `
    .trio {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 0.5rem;
    }
  `,
})
export class MinutesFields {
  readonly label = input.required<string>();
  readonly field = input.required<string>();
  readonly minutes = input.required<FormGroup<Record<'low' | 'likely' | 'high', FormControl<number | null>>>>();
}
