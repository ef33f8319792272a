import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { isSettled, waitsFor, type JobState } from '@brisk/core/ledger';
import { HEIGHT_WORDS, STATION_WORDS, duration } from '@brisk/core/words';
import { format } from 'date-fns';
import { Selection } from '../job/selection';
import { StepActions } from '../step/step-actions';
import { TROUBLE_WORDS } from '../words/trade-words';

/** Everything about one picked step: why it is here, what it waits for, what waits for it, how it went. */
@Component({
  selector: 'bl-bench-card',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-card.html',
  styleUrl: './bench-card.scss',
})
export class BenchCard {
  readonly step = input.required<string>();
  readonly state = input.required<JobState>();
  protected readonly selection = inject(Selection);
  protected readonly actions = inject(StepActions);
  protected readonly stations = STATION_WORDS;
  protected readonly heights = HEIGHT_WORDS;

  protected readonly card = computed(() => {
    const state = this.state();
    const operation = state.work.operations.get(this.step());
    if (!operation) return undefined;
    const connection =
      operation.connection === undefined ? undefined : state.work.connections.get(operation.connection);
    const titled = (id: string) => state.work.operations.get(id)?.title ?? id;
    const { low, likely, high } = operation.minutes;
    return {
      operation,
      connection,
      because: state.work.because.get(operation.id),
      minutes: `${duration(likely)} (${low} to ${high})`,
      cautions: operation.cautions.map((caution) => CAUTION_WORDS[caution]),
      progress: progressWords(state, operation.id),
      entry: state.progress.get(operation.id)?.entry,
      settled: isSettled(state, operation),
      notNow: waitsFor(state, operation).map(({ words }) => words),
      waitsFor: (state.work.into.get(operation.id) ?? []).map(({ before, reason }) => ({
        id: before,
        title: titled(before),
        why: reason.words,
        done: isSettledId(state, before),
      })),
      heldUp: (state.work.outOf.get(operation.id) ?? []).map(({ after, reason }) => ({
        id: after,
        title: titled(after),
        why: reason.words,
      })),
      notes: state.notes.filter((note) => note.operation === operation.id),
      bag: operation.connection === undefined ? undefined : state.bags.get(operation.connection),
      tag: operation.connection === undefined ? undefined : state.tags.get(operation.connection),
    };
  });
}

function isSettledId(state: JobState, id: string): boolean {
  const operation = state.work.operations.get(id);
  return operation !== undefined && isSettled(state, operation);
}

function progressWords(state: JobState, id: string): string {
  const progress = state.progress.get(id);
  if (!progress) return '';
  const when = `${progress.by}, ${format(new Date(progress.at), 'd MMM HH:mm')}`;
  switch (progress.is) {
    case 'done':
      return `Done by ${when}`;
    case 'skipped':
      return `${progress.mode === 'later' ? 'Put off' : 'Not on this machine'}: ${progress.reason} (${when})`;
    case 'stuck':
      return `Stuck: ${TROUBLE_WORDS[progress.trouble].toLowerCase()}. Tried: ${progress.tried}. ${progress.minutesLost} min lost (${when})`;
  }
}
