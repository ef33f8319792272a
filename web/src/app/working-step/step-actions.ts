import { inject, Injectable, Injector, signal } from '@angular/core';
import { LONGEST, oneOf, optionalName, text } from '@brisk/contracts/fields';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { leftToItself, type EntryBody, type JobState, type PartToOrder, type SkipMode } from '@brisk/core/ledger';
import { comparisonsFor } from '@brisk/core/parts';
import type { Operation } from '@brisk/core/teardown';
import { duration } from '@brisk/core/words';
import { catchError, firstValueFrom, of, timeout } from 'rxjs';
import { PeopleApi } from '../api/people-api';
import { Desk } from '../session/desk';
import { Recorder } from '../session/recorder';
import { Selection } from '../session/selection';
import { Ask } from '../ui/ask';
import type { StuckAsked, StuckTold } from './stuck-path';

/** Who is called where it does not matter who. */
const ANYBODY = 'anybody';
/** Nobody waits longer for the names of the shop before they can call. */
const PEOPLE_WITHIN_MS = 1_000;

/** What can be done about a step besides doing it, with what has to be asked. */
@Injectable()
export class StepActions {
  private readonly desk = inject(Desk);
  private readonly asker = inject(Ask);
  private readonly recorder = inject(Recorder);
  private readonly people = inject(PeopleApi);
  private readonly injector = inject(Injector);
  private readonly selection = inject(Selection);

  async skip(operation: Operation): Promise<void> {
    const answers = await this.asker.ask({
      title: `Skip: ${operation.title}`,
      questions: [
        {
          field: 'mode',
          label: 'Why is it passed over?',
          as: 'choice',
          schema: oneOf(['later', 'not-here'] as const).label('This'),
          choices: [
            { value: 'later', words: 'Later: something else first' },
            { value: 'not-here', words: 'It is not on this machine' },
          ],
          initial: 'later',
        },
        { field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') },
      ],
      action: 'Skip it',
    });
    if (!answers) return;
    const recorded = this.recorder.record(`Skipped: ${operation.title}`, {
      kind: 'operation-skipped',
      operation: operation.id,
      mode: answers['mode'] as SkipMode,
      reason: String(answers['reason']),
    });
    if (recorded) this.outOfHand(operation);
  }

  /** A step fights back: what happened, what was tried, how long it soaks, and what it takes to go on. */
  async stuck(operation: Operation): Promise<void> {
    const [{ MatDialog }, { StuckSheet }] = await Promise.all([
      import('@angular/material/dialog'),
      import('./stuck-sheet'),
    ]);
    const state = this.desk.state();
    if (!state) return;
    const told = await firstValueFrom(
      this.injector
        .get(MatDialog)
        .open<InstanceType<typeof StuckSheet>, StuckAsked, StuckTold>(StuckSheet, {
          data: { state, operation, minutes: this.stepMinutes() },
          width: '54rem',
          maxWidth: '96vw',
          maxHeight: '94vh',
          autoFocus: 'dialog',
        })
        .afterClosed(),
    );
    if (told && this.recorder.record(`Stuck: ${operation.title}`, ...told.bodies)) this.outOfHand(operation);
  }

  /** What is stuck or put off was perhaps taken in hand on purpose; it is laid down. */
  private outOfHand({ id }: Operation): void {
    if (this.selection.hand() === id) this.selection.take(undefined);
  }

  /** Whether a wait is over: asked where, by the record, not even its least time is. */
  async hasWaited(state: JobState, wait: Operation): Promise<boolean> {
    const running = leftToItself(state).find(({ operation }) => operation.id === wait.id);
    const leftMin = Math.ceil(((running?.leastMs ?? 0) - Date.now()) / 60_000);
    if (leftMin <= 0) return true;
    const answers = await this.asker.ask({
      title: wait.title,
      words: `By the record its least time has ${duration(leftMin)} to go: what comes before it was written down too short a while ago.`,
      ...(wait.cautions[0] ? { caution: CAUTION_WORDS[wait.cautions[0]] } : {}),
      questions: [],
      action: 'It has waited long enough',
    });
    return answers !== undefined;
  }

  /**
   * What went in at a step whose parts have not come by the record: they came after all, or the old ones went back. Undefined
   * where neither is said.
   */
  async whatWentIn(
    { title }: Operation,
    awaited: readonly PartToOrder[],
  ): Promise<{ readonly bodies: readonly EntryBody[]; readonly withOld: boolean } | undefined> {
    const names = awaited.map(({ name, quantity }) => `${quantity} × ${name}`).join(', ');
    const answers = await this.asker.ask({
      title: `What went in? ${title}`,
      words: `By the record it is not here: ${names}.`,
      questions: [
        {
          field: 'went',
          label: 'This went in',
          as: 'choice',
          schema: oneOf(['same', 'came', 'old'] as const).label('This'),
          choices: [
            { value: 'same', words: 'The new one: it came, and is like the old one' },
            { value: 'came', words: 'The new one: it came, nobody held it against the old one' },
            { value: 'old', words: 'The old one again: it stays open to the end' },
          ],
        },
      ],
      action: 'Write it down',
    });
    const went = answers?.['went'];
    if (went === undefined) return undefined;
    if (went === 'old') return { bodies: [], withOld: true };
    const bodies = awaited.flatMap(({ need, name, stage }): readonly EntryBody[] => [
      ...(stage === 'returned' ? [{ kind: 'part-moved-on' as const, need, to: 'ordered' as const }] : []),
      { kind: 'part-moved-on', need, to: 'arrived' },
      ...(went === 'same'
        ? [
            {
              kind: 'part-compared' as const,
              need,
              compared: comparisonsFor(name).map((what) => ({ what, same: true })),
            },
          ]
        : []),
    ]);
    return { bodies, withOld: false };
  }

  /** Minutes at the step in hand, for whoever asks how much time was lost. */
  readonly stepMinutes = signal(0);

  /** Somebody is called to the step: to bring one of its tools, to lend a hand, or for what is said in words. */
  async call({ id, title, tools }: Operation): Promise<void> {
    const others = await this.everybodyElse();
    const wanted = ['Lend a hand', ...tools.map((tool) => `Bring the ${tool}`)];
    const answers = await this.asker.ask({
      title: `Call somebody to: ${title}`,
      words: 'It stands on every device at this job until somebody is on it. It is no way to stop work: shout.',
      questions: [
        {
          field: 'wanted',
          label: 'What for?',
          as: 'choice',
          schema: oneOf(wanted).label('This'),
          choices: wanted.map((words) => ({ value: words, words })),
          initial: 'Lend a hand',
        },
        {
          field: 'words',
          label: 'Or in words',
          as: 'line',
          schema: optionalName().label('This'),
          hint: 'Such as: bring the 36 spanner',
        },
        ...(others.length > 0
          ? [
              {
                field: 'who',
                label: 'Who?',
                as: 'choice' as const,
                schema: oneOf([ANYBODY, ...others]).label('This'),
                choices: [
                  { value: ANYBODY, words: 'Whoever is free' },
                  ...others.map((name) => ({ value: name, words: name })),
                ],
                initial: ANYBODY,
              },
            ]
          : []),
      ],
      action: 'Call',
    });
    if (!answers) return;
    const { words, wanted: chosen, who } = answers;
    this.recorder.record('Called', {
      kind: 'help-called',
      text: String(words === undefined || words === '' ? chosen : words).slice(0, LONGEST.name),
      operation: id,
      ...(who === undefined || who === ANYBODY ? {} : { who: String(who) }),
    });
  }

  /** Who can be called: the crew, whoever is at the job, and, where the server says so, everybody of the shop. */
  private async everybodyElse(): Promise<readonly string[]> {
    const people = await firstValueFrom(
      this.people.people().pipe(
        timeout(PEOPLE_WITHIN_MS),
        catchError(() => of([])),
      ),
    );
    const names = [
      ...(this.desk.job()?.crew ?? []),
      ...this.desk.here().map(({ by }) => by),
      ...people.filter(({ out, role }) => !out && role !== 'guest').map(({ name }) => name),
    ];
    return [...new Set(names)].filter((name) => name !== this.desk.me());
  }

  async note(operation?: Operation): Promise<void> {
    const answers = await this.asker.ask({
      title: operation ? `Note: ${operation.title}` : 'Note',
      questions: [
        { field: 'text', label: 'Note', as: 'lines', schema: text().label('Note') },
        ...(operation
          ? [
              {
                field: 'house',
                label: 'Who is it for?',
                as: 'choice' as const,
                schema: oneOf(['job', 'house'] as const).label('This'),
                choices: [
                  { value: 'job', words: 'This job' },
                  { value: 'house', words: 'The next such machine too' },
                ],
                initial: 'job',
              },
            ]
          : []),
      ],
      action: 'Write it down',
    });
    if (!answers) return;
    this.recorder.record('Noted', {
      kind: 'noted',
      text: String(answers['text']),
      ...(operation ? { operation: operation.id } : {}),
      ...(answers['house'] === 'house' ? { house: true } : {}),
    });
  }
}
