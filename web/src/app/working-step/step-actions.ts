import { inject, Injectable, Injector, signal } from '@angular/core';
import { oneOf, text } from '@brisk/contracts/fields';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { leftToItself, type JobState, type SkipMode } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';
import { duration } from '@brisk/core/words';
import { firstValueFrom } from 'rxjs';
import { Desk } from '../session/desk';
import { Recorder } from '../session/recorder';
import { Ask } from '../ui/ask';
import type { StuckAsked, StuckTold } from './stuck-path';

/** What can be done about a step besides doing it, with what has to be asked. */
@Injectable()
export class StepActions {
  private readonly desk = inject(Desk);
  private readonly asker = inject(Ask);
  private readonly recorder = inject(Recorder);
  private readonly injector = inject(Injector);

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
    this.recorder.record(`Skipped: ${operation.title}`, {
      kind: 'operation-skipped',
      operation: operation.id,
      mode: answers['mode'] as SkipMode,
      reason: String(answers['reason']),
    });
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
    if (told) this.recorder.record(`Stuck: ${operation.title}`, ...told.bodies);
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

  /** Minutes at the step in hand, for whoever asks how much time was lost. */
  readonly stepMinutes = signal(0);

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
