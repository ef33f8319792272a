import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { name, optionalDay, optionalPositive, optionalText } from '@brisk/contracts/fields';
import type { SecondLook } from '@brisk/core/ledger';
import { isSettled } from '@brisk/core/ledger';
import { goEasyOn, proposedLooks, type ProposedLook } from '@brisk/core/running-in';
import { lookDue } from '@brisk/core/second-looks';
import { addDays, format } from 'date-fns';
import { v4 as uuid } from 'uuid';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { LooksProposed } from '../../working-step/looks-proposed';
import { LeakBoard } from './leak-board';
import { StartTabs } from './start-tabs';
import { WarmUp } from './warm-up';
import { Written } from '../../ui/written';

const DAY = 'yyyy-MM-dd';
const MOST_KM = 1_000_000;

/** From the first warm-up to the second looks: its phases, what to go easy on, and what is looked at once more and when. */
@Component({
  selector: 'bl-running-in',
  imports: [LeakBoard, LooksProposed, MatButton, StartTabs, WarmUp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './running-in.html',
  styleUrl: './running-in.scss',
})
export class RunningIn {
  private readonly written = inject(Written);
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);

  /** What comes once it has run, in its order, and whether it is done. */
  protected readonly phases = computed(() => {
    const state = this.desk.state();
    return [...(state?.work.operations.values() ?? [])]
      .filter(({ kind, phase, needsRunning }) => kind === 'check' && (needsRunning === true || phase === 'handover'))
      .map((operation) => ({ operation, done: state !== undefined && isSettled(state, operation) }));
  });
  /** Nothing of running in is left: what comes is the second looks. */
  protected readonly over = computed(() => this.phases().length > 0 && this.phases().every(({ done }) => done));
  protected readonly proposed = computed(() => {
    const state = this.desk.state();
    return state ? proposedLooks(state) : [];
  });
  protected readonly planned = computed(() => {
    const today = format(new Date(), DAY);
    return [...(this.desk.state()?.secondLooks ?? [])].map(([id, look]) => ({
      id,
      ...look,
      due: lookDue(look, today),
      when: whenOf(look, this.written.day),
    }));
  });
  protected readonly easy = computed(() => {
    const state = this.desk.state();
    return state ? goEasyOn(state) : [];
  });

  protected plan({ what, inDays, afterKm }: ProposedLook): void {
    this.recorder.record('On the list of second looks', {
      kind: 'second-look-planned',
      look: uuid(),
      what,
      dueOn: format(addDays(new Date(), inDays), DAY),
      ...(afterKm === undefined ? {} : { afterKm }),
    });
  }

  protected async another(): Promise<void> {
    const answers = await this.asker.ask({
      title: 'Something more to look at again',
      questions: [
        { field: 'what', label: 'What', as: 'line', schema: name().label('What') },
        {
          field: 'dueOn',
          label: 'On which day',
          as: 'line',
          schema: optionalDay().label('The day'),
          hint: '2026-03-02',
        },
        {
          field: 'afterKm',
          label: 'Or after so many',
          as: 'amount',
          suffix: 'km',
          schema: optionalPositive(MOST_KM).label('Kilometres'),
        },
      ],
      action: 'Put it on the list',
    });
    if (!answers) return;
    const given = (field: string) => answers[field] !== undefined && answers[field] !== '';
    this.recorder.record('On the list of second looks', {
      kind: 'second-look-planned',
      look: uuid(),
      what: String(answers['what']),
      ...(given('dueOn') ? { dueOn: String(answers['dueOn']) } : {}),
      ...(given('afterKm') ? { afterKm: Number(answers['afterKm']) } : {}),
    });
  }

  protected async taken(look: string, what: string): Promise<void> {
    const answers = await this.asker.ask({
      title: `Looked once more: ${what}`,
      questions: [
        { field: 'note', label: 'What was seen', as: 'lines', schema: optionalText().label('What was seen') },
      ],
      action: 'It is looked at',
    });
    if (!answers) return;
    const note = String(answers['note'] ?? '').trim();
    this.recorder.record('Looked at', { kind: 'second-look-done', look, ...(note ? { note } : {}) });
  }
}

function whenOf({ dueOn, afterKm }: SecondLook, day: (day: string) => string): string {
  return [
    ...(dueOn === undefined ? [] : [`on ${day(dueOn)}`]),
    ...(afterKm === undefined ? [] : [`after ${afterKm} km`]),
  ].join(', or ');
}
