import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { FormControl, FormGroup, FormGroupDirective, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { amount, oneOf, optionalText } from '@brisk/contracts/fields';
import {
  ATTEMPT_PURPOSE_WORDS,
  RESULT_WORDS,
  START_RESULTS,
  startAdvice,
  type StartResult,
} from '@brisk/core/first-start';
import { keptBurst, type KeptBurst } from '@brisk/core/instrument';
import type { JobState } from '@brisk/core/ledger';
import { Recorder } from '../../session/recorder';
import { choicesOf } from '../../ui/choice';
import { EntryField } from '../../ui/entry-field';
import { PickOne } from '../../ui/pick-one';
import { yupRule } from '../../ui/yup-rule';
import { BenchBox, type ReadBurst } from './bench-box';
import { FROM_WORDS } from './box-words';
import { BurstClock } from './burst-clock';
import { TraceChart, type NamedTrace, type Traced } from './trace-chart';
import { VoltsChart } from './volts-chart';

/** Traces that are laid over each other. */
const MOST_TRACES = 4;
const TRACED = ['volts', 'amps', 'rpm'] as const satisfies readonly Traced[];
const TRACED_WORDS: Readonly<Record<Traced, string>> = { volts: 'Volts', amps: 'Current', rpm: 'Revolutions' };
const TO_START = 'start';

/** Bursts on the starter: clocked, read by a box or typed, recorded, and laid over each other. */
@Component({
  selector: 'bl-attempts',
  imports: [
    BenchBox,
    BurstClock,
    EntryField,
    MatButton,
    MatExpansionModule,
    PickOne,
    ReactiveFormsModule,
    TraceChart,
    VoltsChart,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './attempts.html',
  styleUrl: './attempts.scss',
})
export class Attempts {
  readonly state = input.required<JobState>();
  /** Whether it may be started; otherwise it is cranked for oil only. */
  readonly toStart = input.required<boolean>();
  private readonly recorder = inject(Recorder);
  protected readonly results = computed(() =>
    choicesOf(
      RESULT_WORDS,
      this.forOil() ? START_RESULTS.filter((one) => one === 'no-crank' || one === 'cranks') : START_RESULTS,
    ),
  );
  protected readonly resultWords = RESULT_WORDS;
  protected readonly purposeWords = ATTEMPT_PURPOSE_WORDS;
  protected readonly fromWords = FROM_WORDS;
  private readonly sheet = viewChild.required(FormGroupDirective);
  /** Moves on with every attempt, so that the advice speaks of now. */
  private readonly looked = signal(new Date().toISOString());

  protected readonly form = new FormGroup({
    voltsBefore: new FormControl<number | null>(null, yupRule(amount(36).label('Volts at rest'))),
    voltsLowest: new FormControl<number | null>(null, yupRule(amount(36).label('Lowest volts'))),
    crankSeconds: new FormControl<number | null>(null, yupRule(amount(120).label('Seconds'))),
    result: new FormControl<StartResult | null>(null, yupRule(oneOf(START_RESULTS).label('What it did'))),
    note: new FormControl<string>('', yupRule(optionalText().label('Note'))),
  });
  protected readonly purposes = [
    { value: TO_START, words: 'To start it' },
    { value: 'oil', words: 'For oil pressure, kept from firing' },
  ];
  private readonly purpose = signal(TO_START);
  protected readonly forOil = computed(() => !this.toStart() || this.purpose() === 'oil');
  protected readonly purposeNow = computed(() => (this.forOil() ? 'oil' : TO_START));
  /** What a box read of the burst whose figures stand in the fields. */
  protected readonly read = signal<KeptBurst | undefined>(undefined);

  protected readonly attempts = computed(() => this.state().attempts);
  protected readonly newestFirst = computed(() =>
    this.attempts()
      .map((attempt, index) => ({ ...attempt, number: index + 1, read: attempt.read && readWords(attempt.read) }))
      .reverse(),
  );
  protected readonly advice = computed(() => startAdvice(this.attempts(), this.looked()));
  protected readonly traces = computed(() =>
    this.attempts()
      .flatMap(({ read }, at): readonly NamedTrace[] =>
        read?.trace ? [{ name: `Try ${at + 1}`, trace: read.trace }] : [],
      )
      .slice(-MOST_TRACES),
  );
  protected readonly traced = signal<Traced>('volts');
  protected readonly tracedWords = choicesOf(TRACED_WORDS, TRACED);

  protected wants(purpose: string): void {
    this.purpose.set(purpose);
    const { result } = this.form.controls;
    if (this.forOil() && result.value !== 'no-crank') result.setValue(null);
  }

  protected attempt(): void {
    const { voltsBefore, voltsLowest, crankSeconds, result, note } = this.form.getRawValue();
    if (this.form.invalid || voltsBefore === null || voltsLowest === null || crankSeconds === null || !result) return;
    this.looked.set(new Date().toISOString());
    const read = this.read();
    const recorded = this.recorder.record(`Attempt: ${RESULT_WORDS[result].toLowerCase()}`, {
      kind: 'start-attempted',
      voltsBefore,
      voltsLowest,
      crankSeconds,
      result,
      ...(this.forOil() ? { purpose: 'oil' as const } : {}),
      ...(note?.trim() ? { note: note.trim() } : {}),
      ...(read ? { read } : {}),
    });
    if (!recorded) return;
    this.read.set(undefined);
    this.sheet().resetForm();
  }

  /** A burst was read by a box: its figures are in the fields, its trace with them, to be recorded or not. */
  protected take({ burst, from }: ReadBurst): void {
    const { voltsBefore, voltsLowest, crankSeconds, result } = burst;
    this.read.set(keptBurst(burst, from));
    this.form.patchValue({ voltsBefore, voltsLowest, crankSeconds, result });
  }

  protected withoutRead(): void {
    this.read.set(undefined);
    this.form.reset();
  }

  /** A burst was clocked: its seconds are in the field. */
  protected clocked(seconds: number): void {
    this.read.set(undefined);
    this.form.controls.crankSeconds.setValue(seconds);
  }
}

/** What a box read besides what everybody reads, in words. */
function readWords({ from, crankRpm, pressureAfterS, weak, addsLeast, noSignal, codes }: KeptBurst): string {
  return [
    `By ${FROM_WORDS[from]}`,
    ...(noSignal ? [`turns at ${crankRpm} rpm by the current, no signal`] : crankRpm > 0 ? [`${crankRpm} rpm`] : []),
    ...(pressureAfterS === undefined ? [] : [`oil after ${pressureAfterS.toFixed(1)} s`]),
    ...(weak === undefined ? [] : [weak === 0 ? 'one compression weak' : `compression ${weak} weak`]),
    ...(addsLeast === undefined ? [] : [`cylinder ${addsLeast} adds nothing`]),
    ...(codes ?? []),
  ].join(', ');
}
