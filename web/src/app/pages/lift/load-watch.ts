import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { amount, oneOf } from '@brisk/contracts/fields';
import { LAGGING, type JobState, type Lagging } from '@brisk/core/ledger';
import { hangingKg, judgeLoad, lastLoad, legsOf, suspectsOf, type LoadJudgement } from '@brisk/core/lift';
import { sentence } from '@brisk/core/words';
import { GearShed } from '../../planning/gear-shed';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { HoldActions } from '../../working-step/hold-actions';
import { inMeasure } from './lift-in-measure';

const NONE = 'none';
const LAGGING_WORDS: Readonly<Record<Lagging, string>> = {
  front: 'The front',
  rear: 'The rear',
  left: 'The left',
  right: 'The right',
};
const JUDGED: Readonly<Record<LoadJudgement['is'], string>> = {
  'not yet all of it': 'The rest still stands on its mounts.',
  'as expected': 'About what should hang.',
  ahead: 'Stop. It carries more than hangs on it: something holds.',
  'far ahead': 'Stop and let it down. Far more than hangs on it: something holds fast.',
};

/** What the hook carries, as a crane scale says, held against what should hang, and what may still be on. */
@Component({
  selector: 'bl-load-watch',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './load-watch.html',
  styleUrl: './load-watch.scss',
})
export class LoadWatch {
  readonly state = input.required<JobState>();
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  private readonly shed = inject(GearShed);
  protected readonly holds = inject(HoldActions);
  protected readonly sentence = sentence;

  protected readonly expectedKg = computed(() => Math.round(hangingKg(this.state())));
  private readonly last = computed(() => lastLoad(this.state()));
  protected readonly judged = computed(() => {
    const last = this.last();
    if (!last) return undefined;
    const { is } = judgeLoad(this.expectedKg(), last.kg);
    return { kg: last.kg, words: JUDGED[is], stop: is === 'ahead' || is === 'far ahead' };
  });
  protected readonly suspects = computed(() => {
    if (!this.judged()?.stop) return [];
    const measured = inMeasure(this.state(), this.shed.gear());
    const [leg] = measured && 'lift' in measured ? legsOf(measured.lift) : [];
    return suspectsOf(this.state(), leg, this.last()?.lagging);
  });

  protected async read(): Promise<void> {
    const answers = await this.asker.ask({
      title: 'Read the crane scale',
      words: `Hook just tight or load clear of everything. ${this.expectedKg()} kg should hang, without slings.`,
      questions: [
        { field: 'kg', label: 'Kilograms on the hook', as: 'number', schema: amount(20_000).label('Kilograms') },
        {
          field: 'lagging',
          label: 'Does one side lag?',
          as: 'choice',
          schema: oneOf([NONE, ...LAGGING]).label('Side'),
          initial: NONE,
          choices: [
            { value: NONE, words: 'It comes up even' },
            ...LAGGING.map((value) => ({ value, words: LAGGING_WORDS[value] })),
          ],
        },
      ],
      action: 'Read',
    });
    if (!answers) return;
    const kg = Number(answers['kg']);
    const lagging = LAGGING.find((side) => side === answers['lagging']);
    this.recorder.record(`${kg} kg noted`, { kind: 'load-read', kg, ...(lagging ? { lagging } : {}) });
  }
}
