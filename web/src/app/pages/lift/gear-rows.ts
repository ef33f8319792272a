import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** A piece of gear held against what it is to do: what is stamped on it, and what it lacks or does. */
export interface GearRow {
  readonly id: string;
  readonly stamped: string;
  readonly lacks: string;
  readonly does: string;
}

/** Gear of one kind held against a lift; what lacks something stands back. */
@Component({
  selector: 'bl-gear-rows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ heading() }}</h2>
    <ul>
      @for (row of rows(); track row.id) {
        <li [class.no]="row.lacks">
          <span>{{ row.stamped }}</span>
          <span>{{ row.lacks || row.does }}</span>
        </li>
      } @empty {
        <li>None written down.</li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
      margin-top: 0.5rem;
    }

    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }

    li {
      display: flex;
      flex-wrap: wrap;
      justify-content: space-between;
      gap: 0 1rem;
      border-top: 1px solid var(--line);
      padding: 0.375rem 0;
    }

    .no {
      color: var(--ink-soft);
    }
  `,
})
export class GearRows {
  readonly heading = input.required<string>();
  readonly rows = input.required<readonly GearRow[]>();
}
