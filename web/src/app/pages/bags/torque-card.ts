import { ChangeDetectionStrategy, Component, computed, input, signal, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { THREAD_STATES, type Connection, type ThreadState } from '@brisk/core/connection-map';
import { readFastener } from '@brisk/core/fasteners';
import { setsOf, TORQUE_COLUMNS, torqueSheet, type JobState } from '@brisk/core/ledger';
import { advisoryTorque, THREAD_STATE_WORDS, type TorqueVerdict } from '@brisk/core/torque';
import { choicesOf } from '../../ui/choice';
import { writeSheet } from '../../ui/csv';
import { PickOne } from '../../ui/pick-one';
import { saveFile } from '../../ui/save-file';
import { VERDICT_WORDS } from '../../words/trade-words';
import { Written } from '../../ui/written';

/** The torque of one joint: its figure, or one worked out where nobody has it, and every touch on its sheet. */
@Component({
  selector: 'bl-torque-card',
  imports: [MatButton, MatIcon, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (figure(); as nm) {
      <p>
        <strong class="figure">{{ nm }}</strong> N·m, from the map. The maker’s own wins.
      </p>
    } @else if (advisory().length > 0) {
      <p>No figure is known. Worked out from the bolt, and no maker’s: never over one that is printed anywhere.</p>
      <bl-pick
        label="How the thread goes together"
        field="thread"
        [choices]="threads"
        [value]="thread()"
        (picked)="thread.set($event)"
      />
      @for (one of advisory(); track $index) {
        <p>
          About <strong class="figure">{{ one.nm }}</strong> N·m for {{ one.what }}, taken as {{ one.propertyClass }}.
          <span class="soft">It presses with {{ one.clampKn }} kN{{ one.stretch }}; 75 % of the proof load.</span>
        </p>
      }
    } @else {
      <p class="soft">No figure is known, and none can be worked out from what is written of its fasteners.</p>
    }
    @if (rows().length > 0) {
      <ul>
        @for (row of rows(); track $index) {
          <li [class.missed]="row.missed">
            <span class="figure">{{ row.bolts === 'all' ? 'all' : row.bolts }}</span>
            <span
              >{{ row.stage }}: {{ row.showed }}, {{ row.verdict
              }}{{ row.accepted ? ', accepted: ' + row.accepted : '' }}
              <span class="soft">{{ row.wrench }}; {{ row.who }}</span></span
            >
          </li>
        }
      </ul>
      <button matButton="outlined" type="button" class="no-print" (click)="save()">
        <mat-icon svgIcon="save" />Torque sheet as CSV
      </button>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      align-items: flex-start;
      gap: 0.4rem;
    }
    ul {
      align-self: stretch;
    }
    li {
      display: grid;
      grid-template-columns: 4rem minmax(0, 1fr);
      gap: 0.5rem;
      border-top: 1px solid var(--line);
      padding: 0.25rem 0;
    }
    .missed {
      font-weight: 600;
    }
  `,
})
export class TorqueCard {
  private readonly written = inject(Written);
  readonly connection = input.required<Connection>();
  readonly state = input.required<JobState>();
  protected readonly threads = choicesOf(THREAD_STATE_WORDS, THREAD_STATES);
  protected readonly thread = signal<ThreadState>('dry');

  protected readonly figure = computed(() => this.connection().refit.torque?.targetNm);
  protected readonly advisory = computed(() =>
    setsOf(this.state(), this.connection().id).flatMap(({ what }) => {
      const found = advisoryTorque(readFastener(what), this.thread());
      if (!found) return [];
      const { torqueNm, clampN, stretchMm, propertyClass } = found;
      return [
        {
          what,
          propertyClass,
          nm: Number(torqueNm.toPrecision(2)),
          clampKn: (clampN / 1_000).toFixed(1),
          stretch: stretchMm === undefined ? '' : `, and is ${stretchMm.toFixed(2)} mm longer then`,
        },
      ];
    }),
  );
  protected readonly rows = computed(() =>
    torqueSheet(this.state(), this.connection().id).map((row) => ({
      ...row,
      verdict: VERDICT_WORDS[row.verdict as TorqueVerdict].toLowerCase(),
      missed: row.verdict !== 'within',
      who: `${row.by}, ${this.written.moment(row.at)}`,
    })),
  );

  protected save(): void {
    saveFile('torque-sheet.csv', writeSheet(TORQUE_COLUMNS, torqueSheet(this.state(), this.connection().id)));
  }
}
