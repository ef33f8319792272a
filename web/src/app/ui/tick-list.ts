import { booleanAttribute, ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import type { Choice } from './choice';

/** Any of a list, each ticked by itself. */
@Component({
  selector: 'bl-tick-list',
  imports: [MatCheckbox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>{{ label() }}</legend>
      <div [class.keys]="asKeys()" [class.columns]="!asKeys()">
        @for (one of choices(); track one.value) {
          <mat-checkbox [checked]="ticked().has(one.value)" (change)="tick(one.value, $event.checked)">{{
            one.words
          }}</mat-checkbox>
        }
      </div>
    </fieldset>
  `,
  styles: `
    .columns {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
    }
  `,
})
export class TickList<Value> {
  readonly label = input.required<string>();
  readonly choices = input.required<readonly Choice<Value>[]>();
  readonly ticked = input.required<ReadonlySet<Value>>();
  /** Each a key of its own for a thumb. */
  readonly asKeys = input(false, { transform: booleanAttribute });
  /** All that are ticked now. */
  readonly changed = output<ReadonlySet<Value>>();

  protected tick(value: Value, on: boolean): void {
    const now = new Set(this.ticked());
    if (on) now.add(value);
    else now.delete(value);
    this.changed.emit(now);
  }
}
