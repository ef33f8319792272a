import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';

/** One thing in a list that the shop keeps, to be changed or taken away. */
@Component({
  selector: 'bl-kept-item',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span>
      @if (name()) {
        <strong>{{ name() }}</strong>
      }
      <span class="stamped">{{ stamped() }}</span>
      <ng-content />
    </span>
    <span class="row">
      <button matButton type="button" [attr.aria-label]="'Change ' + called()" (click)="written.emit()">Change</button>
      <button matButton type="button" [attr.aria-label]="'Take away ' + called()" (click)="away.emit()">
        Take away
      </button>
    </span>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      justify-content: space-between;
      align-items: center;
      gap: 0 1rem;
    }

    .stamped {
      display: block;
    }
  `,
})
export class KeptItem {
  /** Its name, where it has one of its own. */
  readonly name = input('');
  /** How it is called on its buttons. */
  readonly called = input.required<string>();
  readonly stamped = input.required<string>();
  readonly written = output();
  readonly away = output();
}
