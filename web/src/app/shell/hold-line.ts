import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { Job } from '@brisk/contracts/job';
import { conditionsInForce, holding, onTheWayOut, stillOpen, stuckSteps, type JobState } from '@brisk/core/ledger';
import { STATION_WORDS, sentence, several } from '@brisk/core/words';
import { Desk } from '../session/desk';
import { Person } from '../session/person';
import { Keys } from '../ui/keys';
import { PhotoBox } from '../photos/photo-box';

/** The line along the bottom of an open job: what still holds the powerpack, what is in force, who is on it. */
@Component({
  selector: 'bl-hold-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './hold-line.html',
  styleUrl: './hold-line.scss',
  host: { '(keydown.escape)': 'shown.set(undefined)' },
})
export class HoldLine {
  readonly job = input.required<Job>();
  readonly state = input.required<JobState>();
  protected readonly desk = inject(Desk);
  protected readonly box = inject(PhotoBox);
  protected readonly several = several;
  private readonly person = inject(Person);

  protected readonly shown = signal<'holds' | 'issues' | undefined>(undefined);
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
      `${state.height === 'raised' ? 'Up on stands' : 'On its wheels'}`,
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
      { key: 'h', words: 'What still holds it, by name', act: () => this.toggle('holds') },
      { key: 'i', words: 'Open issues, by name', act: () => this.toggle('issues') },
    );
  }

  protected toggle(list: 'holds' | 'issues'): void {
    this.shown.update((now) => (now === list ? undefined : list));
  }

  protected choose(event: Event): void {
    if (event.target instanceof HTMLSelectElement) this.person.choose(event.target.value);
  }
}
