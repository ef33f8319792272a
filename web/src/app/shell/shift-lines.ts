import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { SHIFT_SORTS, type ShiftLine } from '@brisk/core/ledger';
import { SHIFT_WORDS } from '@brisk/core/shift';

/** The lines of a hand-over by what they are about, what can hurt first. */
@Component({
  selector: 'bl-shift-lines',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl>
      @for (group of groups(); track group.sort) {
        <dt [class.marker]="group.sort === 'hangs' || group.sort === 'live'">{{ group.words }}</dt>
        @for (line of group.lines; track $index) {
          <dd>{{ line.words }}</dd>
        }
      }
    </dl>
  `,
  styles: `
    dl {
      margin: 0 0 0.75rem;
    }
    dt {
      padding-top: 0.5rem;
      font: 600 1.125rem var(--display);
    }
    dd {
      margin: 0;
      padding: 0.3rem 0;
      border-top: 1px solid var(--line);
    }
  `,
})
export class ShiftLines {
  readonly lines = input.required<readonly ShiftLine[]>();

  protected readonly groups = computed(() =>
    SHIFT_SORTS.map((sort) => ({
      sort,
      words: SHIFT_WORDS[sort],
      lines: this.lines().filter((line) => line.sort === sort),
    })).filter(({ lines }) => lines.length > 0),
  );
}
