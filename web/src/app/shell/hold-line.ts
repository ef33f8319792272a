import { ChangeDetectionStrategy, Component, computed, inject, Injector, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatMenuModule } from '@angular/material/menu';
import { MatSnackBar } from '@angular/material/snack-bar';
import type { Job } from '@brisk/contracts/job';
import {
  conditionsInForce,
  halfTight,
  holding,
  onTheWayOut,
  stillOpen,
  stuckSteps,
  type JobState,
  type ShiftLine,
} from '@brisk/core/ledger';
import { shiftReport } from '@brisk/core/shift';
import { STATION_WORDS, sentence, several } from '@brisk/core/words';
import type { HeldList } from './held-sheet';
import { AtTheJob } from '../session/at-the-job';
import { formatDuration, intervalToDuration, type DurationUnit } from 'date-fns';
import { firstValueFrom } from 'rxjs';
import type { ShiftWritten } from './shift-sheet';
import { Desk } from '../session/desk';
import { Recorder } from '../session/recorder';
import { Door } from '../session/door';
import { TakingOver } from '../session/taking-over';
import { Person } from '../session/person';
import { ShedClock } from '../session/shed-clock';
import { NewVersion } from './new-version';
import { Keys } from '../ui/keys';
import { NOT_FETCHED } from '../ui/not-fetched';
import { PhotoBox } from '../photos/photo-box';

/** A clock is off by years or by minutes. */
const SPAN: DurationUnit[] = ['years', 'months', 'days', 'hours', 'minutes'];
const UNDER_A_MINUTE: DurationUnit[] = ['seconds'];

/** The line along the bottom of an open job: what still holds the powerpack, what is in force, who is on it. */
@Component({
  selector: 'bl-hold-line',
  imports: [MatButton, MatMenuModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './hold-line.html',
  styleUrl: './hold-line.scss',
})
export class HoldLine {
  readonly job = input.required<Job>();
  readonly state = input.required<JobState>();
  protected readonly desk = inject(Desk);
  protected readonly box = inject(PhotoBox);
  protected readonly several = several;
  private readonly person = inject(Person);
  protected readonly door = inject(Door);
  protected readonly taking = inject(TakingOver);
  private readonly at = inject(AtTheJob);
  protected readonly others = computed(() =>
    this.at.others().map(({ by, title }) => ({ by, title, words: title === '' ? by : `${by}: ${title}` })),
  );
  protected readonly clock = inject(ShedClock);
  protected readonly version = inject(NewVersion);

  private readonly recorder = inject(Recorder);
  private readonly dialogs = inject(MatDialog);
  private readonly injector = inject(Injector);
  private readonly snackBar = inject(MatSnackBar);
  protected readonly who = computed(() => this.person.in(this.job().crew));

  /** On the way out what holds it; on the way back what is still open. */
  protected readonly holds = computed(() => {
    const state = this.state();
    const out = onTheWayOut(state);
    const names = out
      ? holding(state).map(({ connection, toBody }) => ({
          name: sentence(connection.name),
          where: `${STATION_WORDS[connection.station]}${toBody ? '' : ', drags a loose part along'}`,
        }))
      : stillOpen(state).map(({ name, station }) => ({ name: sentence(name), where: STATION_WORDS[station] }));
    return { names, words: out ? 'still hold it' : 'still open' };
  });

  protected readonly inForce = computed(() => {
    const state = this.state();
    return [
      `${state.height === 'raised' ? 'Raised' : 'On its wheels'}`,
      ...halfTight(state).map(({ words }) => `Half-tight: ${words}`),
      ...conditionsInForce(state).map(({ name }) => name),
    ];
  });

  protected readonly issues = computed(() => {
    const state = this.state();
    const stuck = stuckSteps(state).map(({ title }) => `Stuck: ${title}`);
    return [...stuck, ...[...state.issues.values()].flatMap(({ title, closed }) => (closed ? [] : [title]))];
  });

  constructor() {
    inject(Keys).use(
      { key: 'h', words: 'What still holds it, by name', act: () => void this.show('holds') },
      { key: 'i', words: 'Open issues, by name', act: () => void this.show('issues') },
    );
  }

  protected async show(list: 'holds' | 'issues'): Promise<void> {
    const fetched = await Promise.all([import('@angular/material/bottom-sheet'), import('./held-sheet')]).catch(
      () => undefined,
    );
    if (!fetched) {
      this.snackBar.open(NOT_FETCHED, undefined, { duration: 8_000 });
      return;
    }
    const [{ MatBottomSheet }, { HeldSheet }] = fetched;
    const { names, words } = this.holds();
    this.injector.get(MatBottomSheet).open<InstanceType<typeof HeldSheet>, HeldList>(HeldSheet, {
      ariaLabel: list === 'holds' ? `What ${words}` : 'Open issues',
      data:
        list === 'holds'
          ? { title: `${names.length} ${words}`, none: 'Nothing.', lines: names }
          : {
              title: 'Open issues',
              none: 'None.',
              lines: this.issues().map((name) => ({ name, where: '' })),
            },
    });
  }

  protected span(minutes: number): string {
    return formatDuration(intervalToDuration({ start: 0, end: Math.abs(minutes) * 60_000 }), {
      format: Math.abs(minutes) < 1 ? UNDER_A_MINUTE : SPAN,
    });
  }

  /** How the machine stands, read through by who goes, for who comes. */
  protected async handShiftOver(): Promise<void> {
    const { ShiftSheet } = await import('./shift-sheet');
    const dialog = this.dialogs.open<InstanceType<typeof ShiftSheet>, readonly ShiftLine[], ShiftWritten>(ShiftSheet, {
      data: shiftReport(this.state()),
      width: '40rem',
      maxWidth: '96vw',
    });
    const written = await firstValueFrom(dialog.afterClosed());
    if (written) this.recorder.record('Shift handed over', { kind: 'shift-handed-over', ...written });
  }

  protected choose(name: string): void {
    this.person.choose(name);
  }
}
