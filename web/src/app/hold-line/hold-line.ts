import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { Job } from '@brisk/contracts/job';
import { conditionsInForce, holding, stillOpen, stopOf, type JobState } from '@brisk/core/ledger';
import { Desk } from '../desk/desk';
import { Person } from '../desk/person';
import { Keys } from '../keys/keys';
import { sentence } from '../words/duration';
import { HEIGHT_WORDS, STATION_WORDS } from '../words/trade-words';

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
  private readonly person = inject(Person);

  protected readonly shown = signal<'holds' | 'issues' | undefined>(undefined);
  protected readonly who = computed(() => this.person.in(this.job().crew));

  /** On the way out what holds it; on the way back what is still open. */
  protected readonly holds = computed(() => {
    const state = this.state();
    const stop = stopOf(state);
    const out = stop === 'plan' || stop === 'strip' || stop === 'lift';
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
    const stuck = [...state.progress].flatMap(([id, progress]) =>
      progress.is === 'stuck' ? [`Stuck: ${state.work.operations.get(id)?.title ?? id}`] : [],
    );
    return [...stuck, ...[...state.issues.values()].flatMap(({ title, closed }) => (closed ? [] : [title]))];
  });

  protected readonly heightWords = HEIGHT_WORDS;

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
