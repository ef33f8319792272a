import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { amount, oneOf } from '@brisk/contracts/fields';
import { LAGGING, type JobState, type Lagging } from '@brisk/core/ledger';
import {
  hangingKg,
  hangsFree,
  judgeLoad,
  lastLoad,
  legsOf,
  suspectsOf,
  type Suspect,
  type LoadJudgement,
} from '@brisk/core/lift';
import { SCALE_MODES, scaleFault, type ScaleFault, type ScaleMode, type ScaleReading } from '@brisk/core/rigging';
import { operationId } from '@brisk/core/teardown';
import { sentence } from '@brisk/core/words';
import type { Subscription } from 'rxjs';
import { GearShed } from '../../planning/gear-shed';
import { LineTrouble } from '../../planning/reading-line';
import { ScaleLine } from '../../planning/scale-line';
import { House } from '../../session/house';
import { Selection } from '../../session/selection';
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

const RESTS = 'Stop. Less than hangs on it: it rests on something. Look all round before the next move.';
const AHEAD: ReadonlySet<LoadJudgement['is']> = new Set(['ahead', 'far ahead']);
const FAULT_WORDS: Readonly<Record<ScaleFault, string>> = {
  'stands still': 'It shows the very same all the time: the scale sticks. Stop until it reads again.',
  creeps: 'It creeps up although nobody lifts: let it down, and set the scale to nought.',
};
const MODE_WORDS: Readonly<Record<ScaleMode, string>> = {
  even: 'Comes up even',
  snag: 'Something snags',
  stick: 'The scale sticks',
  drift: 'The scale drifts',
};
/** Readings that are kept to judge the scale by. */
const KEPT = 80;

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

  private readonly house = inject(House);
  private readonly line = inject(ScaleLine);
  private readonly selection = inject(Selection);
  protected readonly modes = SCALE_MODES;
  protected readonly modeWords = MODE_WORDS;

  /** The simulated scale while it runs: what it is told to do, and what it has sent lately. */
  protected readonly scale = signal<
    { readonly mode: ScaleMode; readonly readings: readonly ScaleReading[] } | undefined
  >(undefined);
  protected readonly scaleTrouble = signal('');
  /** Whether what the simulated scale can do is shown. */
  protected readonly trying = signal(false);
  private listening: Subscription | undefined;
  protected readonly live = computed(() => {
    const readings = this.scale()?.readings ?? [];
    const last = readings.at(-1);
    if (!last) return undefined;
    const { is } = judgeLoad(this.expectedKg(), last.kg);
    const fault = scaleFault(readings);
    return {
      kg: last.kg,
      words: fault ? FAULT_WORDS[fault] : this.wordsFor(is),
      stop: AHEAD.has(is),
      wrong: fault !== undefined,
    };
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.listening?.unsubscribe());
  }

  /** Switches the simulated scale on, doing as `mode` says, or off. */
  protected listen(mode: ScaleMode | undefined): void {
    this.listening?.unsubscribe();
    this.scaleTrouble.set('');
    this.scale.set(mode && { mode, readings: [] });
    if (!mode) return;
    this.listening = this.line.readings(this.expectedKg(), mode).subscribe({
      next: (reading) =>
        this.scale.update((before) => before && { mode, readings: [...before.readings.slice(1 - KEPT), reading] }),
      error: (error: unknown) => {
        this.scale.set(undefined);
        this.scaleTrouble.set(error instanceof LineTrouble ? error.message : 'The scale cannot be read.');
      },
    });
  }

  /** Writes down what the scale reads now. */
  protected note(): void {
    const live = this.live();
    if (live) this.recorder.record(`${live.kg} kg noted`, { kind: 'load-read', kg: live.kg });
  }

  protected toStep(connection: string): void {
    this.selection.pick(operationId.open(connection));
  }

  /** What holds is on the map already, or was found on another machine and comes onto it. */
  protected itIs({ connection, name, like }: Suspect): void {
    if (connection === undefined) return void this.holds.found(false, like);
    const progress = this.state().progress.get(operationId.open(connection));
    if (progress?.is === 'skipped') this.selection.pick(operationId.open(connection));
    else this.holds.stillOn(connection, name);
  }

  protected readonly expectedKg = computed(() => Math.round(hangingKg(this.state())));
  private readonly last = computed(() => lastLoad(this.state()));
  protected readonly judged = computed(() => {
    const last = this.last();
    if (!last) return undefined;
    const { is } = judgeLoad(this.expectedKg(), last.kg);
    return { kg: last.kg, words: this.wordsFor(is), stop: AHEAD.has(is) };
  });
  private readonly ahead = computed(() => (this.judged()?.stop ?? false) || (this.live()?.stop ?? false));
  protected readonly suspects = computed(() => {
    if (!this.ahead()) return [];
    const measured = inMeasure(this.state(), this.shed.gear());
    const [leg] = measured && 'lift' in measured ? legsOf(measured.lift) : [];
    return suspectsOf(this.state(), leg, this.last()?.lagging, this.house.knowledge().found);
  });

  protected readonly free = computed(() => hangsFree(this.state()));

  /** Once it hangs, less than it weighs means that it rests on something. */
  private wordsFor(is: LoadJudgement['is']): string {
    return is === 'not yet all of it' && this.free() ? RESTS : JUDGED[is];
  }

  protected async read(): Promise<void> {
    const answers = await this.asker.ask({
      title: 'Read the crane scale',
      words: `Hook just tight or load clear of everything. ${this.expectedKg()} kg should hang, without slings.`,
      questions: [
        { field: 'kg', label: 'Kilograms on the hook', as: 'amount', schema: amount(20_000).label('Kilograms') },
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
