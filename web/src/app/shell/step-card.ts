import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { isSettled, setsOf, type JobState, TROUBLE_WORDS } from '@brisk/core/ledger';
import { USUAL_DAY, whatIfNow, whenWords } from '@brisk/core/planning';
import { chainOf, slackOf, type Link } from '@brisk/core/schedule';
import type { Operation } from '@brisk/core/teardown';
import { HEIGHT_WORDS, STATION_WORDS, duration, several } from '@brisk/core/words';
import { PagesFor } from '../literature/pages-for';
import { Desk } from '../session/desk';
import { Selection } from '../session/selection';
import { PlanDraft } from '../planning/plan-draft';
import { StepActions } from '../working-step/step-actions';
import { Recorder } from '../session/recorder';
import { Written } from '../ui/written';

/** Everything about one picked step: why it is here, what it waits for, what waits for it, how it went. */
@Component({
  selector: 'bl-step-card',
  imports: [MatButton, MatExpansionModule, MatIcon, PagesFor, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './step-card.html',
  styleUrl: './step-card.scss',
})
export class StepCard {
  private readonly written = inject(Written);
  readonly step = input.required<string>();
  readonly state = input.required<JobState>();
  protected readonly desk = inject(Desk);
  protected readonly selection = inject(Selection);
  protected readonly actions = inject(StepActions);
  protected readonly recorder = inject(Recorder);
  protected readonly draft = inject(PlanDraft);
  protected readonly stations = STATION_WORDS;
  protected readonly heights = HEIGHT_WORDS;

  /** When the step comes by the plan that is shown, why then, and how late it may slip. */
  protected readonly planned = computed(() => {
    const now = this.draft.now();
    const id = this.step();
    const step = now?.schedule.steps.find(({ operation }) => operation.id === id);
    if (!now || !step) return undefined;
    return {
      at: whenWords(step.startMin, new Date(), now.problem.crew.day ?? USUAL_DAY, this.written.as()),
      people: step.people.length,
      who: step.people.join(' and ') || 'somebody from outside',
      slack: Math.floor(slackOf(now.net, now.schedule).get(id) ?? 0),
      chain: chainOf(now.net, now.schedule, id).map((link) => ({
        id: link.step.cause.step,
        words: causeWords(link, (other) => this.state().work.operations.get(other)?.title ?? other),
      })),
      pinned: this.draft.pinned().has(id),
    };
  });

  /** How many are at it: as it is planned, or as many as it takes. */
  protected readonly hands = computed(() => {
    const people = this.planned()?.people ?? 0;
    return several(Math.max(people, this.card()?.operation.hands ?? 1), 'person', 'people');
  });

  protected readonly sets = computed(() => {
    const connection = this.card()?.connection;
    return connection ? setsOf(this.state(), connection.id) : [];
  });

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
      progress: progressWords(state, operation.id, this.written.moment),
      entry: state.progress.get(operation.id)?.entry,
      settled: isSettled(state, operation),
      breaches: isSettled(state, operation) ? [] : whatIfNow(state, operation),
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

/** One link of the chain, in words. */
function causeWords({ step, words }: Link, titled: (id: string) => string): string {
  const { is, step: blamed } = step.cause;
  const other = blamed === undefined ? '' : titled(blamed);
  switch (is) {
    case 'after':
      return `Comes after: ${other}. ${words ?? ''}`;
    case 'hands':
      return `${step.people.join(' and ')} busy until then with: ${other}`;
    case 'room':
      return `No room there beside: ${other}`;
    case 'machine':
      return `The machine is ${step.height === 'raised' ? 'raised' : 'let down'} first${other ? `, when this is done: ${other}` : ''}`;
    case 'clear':
      return clearWords(step.operation, other);
    case 'run':
      return `One job in the same hands with: ${other}`;
    case 'everybody':
      return `Everybody stops: ${other}`;
    case 'arranged':
      return 'It has to wait until then: it is arranged so, or stuck and given time.';
    case 'away':
      return 'Whoever does it is away before.';
    case 'nothing':
      return 'It is among the first things to do.';
  }
}

/** Why two steps are kept apart that could be done at once by their places and hands. */
function clearWords({ moves = [], at = [] }: Operation, other: string): string {
  if (moves.includes('weight')) return `Nobody underneath while weight is taken or given. Until then: ${other}`;
  if (at.includes('weight')) return `Nobody under it while weight is taken or given: ${other}`;
  return `No hands near what moves. Until then: ${other}`;
}

function isSettledId(state: JobState, id: string): boolean {
  const operation = state.work.operations.get(id);
  return operation !== undefined && isSettled(state, operation);
}

function progressWords(state: JobState, id: string, moment: (at: string) => string): string {
  const progress = state.progress.get(id);
  if (!progress) return '';
  const when = `${progress.by}, ${moment(progress.at)}`;
  switch (progress.is) {
    case 'done':
      return `Done by ${when}`;
    case 'skipped':
      return `${progress.mode === 'later' ? 'Put off' : 'Not on this machine'}: ${progress.reason} (${when})`;
    case 'stuck':
      return `Stuck: ${TROUBLE_WORDS[progress.trouble].toLowerCase()}. Tried: ${progress.tried}. ${progress.minutesLost} min lost (${when})`;
  }
}
