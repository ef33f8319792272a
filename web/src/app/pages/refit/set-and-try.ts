import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { optionalAmount, optionalText, text } from '@brisk/contracts/fields';
import { LOOK_WORDS, MOST_DROP_V, MOST_OHMS, type Look } from '@brisk/core/adjusting';
import { adjustmentsOf, groundsOf, looksLeft, type Ground } from '@brisk/core/ledger';
import { sentence } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { RefitTabs } from './refit-tabs';
import { TryCard } from './try-card';

/** What is set by trying, looked at as it went together, and measured: linkages, cables, belts, push-on fittings, grounds. */
@Component({
  selector: 'bl-set-and-try',
  imports: [MatButton, RefitTabs, TryCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-and-try.html',
  styleUrl: './set-and-try.scss',
})
export class SetAndTry {
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly sentence = sentence;
  protected readonly looks = LOOK_WORDS;

  protected readonly adjustments = computed(() => {
    const state = this.desk.state();
    return state ? adjustmentsOf(state) : [];
  });
  protected readonly left = computed(() => {
    const state = this.desk.state();
    return state ? looksLeft(state) : [];
  });
  protected readonly grounds = computed(() => {
    const state = this.desk.state();
    return state ? groundsOf(state) : [];
  });

  protected good(connection: string, look: Look): void {
    this.recorder.record(`Good: ${LOOK_WORDS[look].good}`, {
      kind: 'joint-looked-at',
      connection,
      looks: [look],
      good: true,
    });
  }

  protected async bad(connection: string, called: string, look: Look): Promise<void> {
    const answers = await this.asker.ask({
      title: `Not right: ${called}`,
      words: `${LOOK_WORDS[look].asked}: no.`,
      questions: [{ field: 'note', label: 'What is wrong with it', as: 'lines', schema: text().label('This') }],
      action: 'Write it down',
    });
    if (!answers) return;
    this.recorder.record('Not right', {
      kind: 'joint-looked-at',
      connection,
      looks: [look],
      good: false,
      note: String(answers['note']),
    });
  }

  protected async measure({ connection: { id, name } }: Ground): Promise<void> {
    const answers = await this.asker.ask({
      title: `Measure: ${name}`,
      words: `From bright metal to bright metal. At rest no more than ${MOST_OHMS} Ω, the meter’s own leads taken off; under load, somebody cranking or everything switched on, no more than ${MOST_DROP_V} V. The maker’s figures win.`,
      questions: [
        {
          field: 'ohms',
          label: 'At rest',
          as: 'amount',
          suffix: 'Ω',
          schema: optionalAmount(1_000_000).label('At rest'),
        },
        {
          field: 'dropV',
          label: 'Lost under load',
          as: 'amount',
          suffix: 'V',
          schema: optionalAmount(100).label('Lost under load'),
        },
        {
          field: 'note',
          label: 'Why it stays, where it does not carry',
          as: 'line',
          schema: optionalText().label('Why'),
        },
      ],
      action: 'Record it',
    });
    if (!answers) return;
    const given = (field: string) => answers[field] !== undefined && answers[field] !== '';
    const ohms = given('ohms') ? Number(answers['ohms']) : undefined;
    const dropV = given('dropV') ? Number(answers['dropV']) : undefined;
    this.recorder.record(`Ground measured: ${name}`, {
      kind: 'ground-checked',
      connection: id,
      good: true,
      ...(ohms === undefined ? {} : { ohms }),
      ...(dropV === undefined ? {} : { dropV }),
      ...(given('note') ? { note: String(answers['note']) } : {}),
    });
  }

  /** How a ground stands, in words. */
  protected groundWords({ closed, check }: Ground): string {
    if (!closed) return 'still off';
    if (!check) return 'nobody looked at it yet';
    const measured = [
      ...(check.ohms === undefined ? [] : [`${check.ohms} Ω`]),
      ...(check.dropV === undefined ? [] : [`${check.dropV} V lost`]),
    ].join(', ');
    return `${check.good ? 'good' : 'not good'}${measured ? `, ${measured}` : ', by eye'}${check.note ? `. ${check.note}` : ''}`;
  }
}
