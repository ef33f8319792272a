import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { FormControl, FormGroup, FormGroupDirective, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { number } from 'yup';
import { oneOf, text } from '@brisk/contracts/fields';
import type { Connection } from '@brisk/core/connection-map';
import type { EntryBody, JobState } from '@brisk/core/ledger';
import { operationId } from '@brisk/core/teardown';
import { judgeTorque, FIRST_WRENCHES, torqueWindow, wrenchFor } from '@brisk/core/torque';
import { torqueFromNm, TORQUE_UNITS, type TorqueUnit } from '@brisk/core/units';
import { Ask } from '../ui/ask';
import type { Choice } from '../ui/choice';
import { EntryField } from '../ui/entry-field';
import { PickOne } from '../ui/pick-one';
import { yupRule } from '../ui/yup-rule';
import { VERDICT_WORDS } from '../words/trade-words';
import { Recorder } from '../session/recorder';
import { ShowsFigure } from '../session/shows-figure';
import { JointActions } from './joint-actions';

/** Final torque of one connection: the target large, the wrench, the value read, and what to make of it. */
@Component({
  selector: 'bl-torque-entry',
  imports: [EntryField, MatButton, PickOne, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './torque-entry.html',
  styleUrl: './torque-entry.scss',
})
export class TorqueEntry {
  readonly connection = input.required<Connection>();
  readonly state = input.required<JobState>();
  readonly helped = input(false);
  readonly recorded = output();
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  private readonly joints = inject(JointActions);
  protected readonly shows = inject(ShowsFigure);

  private readonly sheet = viewChild(FormGroupDirective);
  protected readonly unitChoices = TORQUE_UNITS.map((value) => ({ value, words: value }));
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly unit = signal<TorqueUnit>('N·m');
  private readonly picked = signal<string | null>(null);

  protected readonly form = new FormGroup({
    wrench: new FormControl<string | null>(null, yupRule(oneOf(FIRST_WRENCHES.map(({ id }) => id)).label('Wrench'))),
    value: new FormControl<number | null>(
      null,
      yupRule(number().moreThan(0).max(100_000).required().label('Value read')),
    ),
    unit: new FormControl<TorqueUnit>('N·m', {
      nonNullable: true,
      validators: yupRule(oneOf(TORQUE_UNITS).label('Unit')),
    }),
  });

  protected readonly target = computed(() => {
    const targetNm = this.connection().refit.torque?.targetNm ?? 0;
    const unit = this.unit();
    const { lowNm, highNm } = torqueWindow(targetNm);
    const shown = (newtonMetres: number) =>
      String(Number(torqueFromNm(newtonMetres, unit).toFixed(newtonMetres < 10 ? 2 : 1)));
    return {
      targetNm,
      shown: shown(targetNm),
      low: shown(lowNm),
      high: shown(highNm),
      wrench: wrenchFor(targetNm),
      angle: this.connection().refit.torque?.angleDeg,
    };
  });

  /** The wrench that is taken where nobody says otherwise stands first. */
  protected readonly wrenchChoices = computed((): readonly Choice<string | null>[] => [
    { value: null, words: this.target().wrench ? `Take: ${this.target().wrench?.name}` : 'None here reaches it' },
    ...FIRST_WRENCHES.map(({ id, name }) => ({ value: id, words: name })),
  ]);

  protected readonly last = computed(() => this.state().torques.get(this.connection().id)?.at(-1));

  constructor() {
    // Another joint has another target, and the wrench of the last one may not be trusted there.
    const joint = computed(() => this.connection().id);
    effect(() => {
      joint();
      this.form.reset({ unit: this.form.getRawValue().unit });
    });
    this.form.controls.unit.valueChanges.subscribe((unit) => this.unit.set(unit));
    this.form.controls.wrench.valueChanges.subscribe((wrench) => this.picked.set(wrench));
  }

  protected async record(): Promise<void> {
    if (this.form.value.wrench === null) this.form.controls.wrench.setValue(this.target().wrench?.id ?? null);
    const { wrench, value: typed, unit: typedIn } = this.form.getRawValue();
    const tool = FIRST_WRENCHES.find(({ id }) => id === wrench);
    if (this.form.invalid || typed === null || !tool) return;
    const joint = this.connection().id;
    const meant = await this.joints.meant(this.target().targetNm, { value: typed, unit: typedIn });
    // Another joint may have come to hand while it was asked.
    if (!meant || this.connection().id !== joint) return;
    const { value, unit } = meant;
    const read: EntryBody = {
      kind: 'torque-read',
      connection: this.connection().id,
      wrench: tool.id,
      range: { lowestNm: tool.lowestNm, highestNm: tool.highestNm },
      read: { value, unit },
    };
    const verdict = judgeTorque(this.target().targetNm, { value, unit }, tool);
    if (verdict === 'within') {
      this.finish('Torque on target', read, this.done());
    } else if (this.recorder.record(`${VERDICT_WORDS[verdict]}: do it again, or accept it with a reason`, read)) {
      this.emptyValue();
    }
  }

  /** The wrench in hand, where it clicks: the one that is picked, or the one to take. */
  protected readonly clickWrench = computed(() =>
    this.picked() === null ? this.target().wrench : FIRST_WRENCHES.find(({ id }) => id === this.picked()),
  );

  /** The wrench clicked at the figure it was set to. */
  protected clicked(): void {
    const { shown } = this.target();
    this.form.controls.value.setValue(Number(shown));
    void this.record();
  }

  protected async accept(): Promise<void> {
    const answers = await this.asker.ask({
      title: `Accept the reading on ${this.connection().name}`,
      caution: 'A joint under its figure works loose, one over it stretches. The maker’s figure wins.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Accept it',
    });
    if (!answers) return;
    this.finish(
      'Accepted',
      { kind: 'torque-accepted', connection: this.connection().id, reason: String(answers['reason']) },
      this.done(),
    );
  }

  private emptyValue(): void {
    this.reset({ ...this.form.getRawValue(), value: null });
  }

  private done(): EntryBody {
    return {
      kind: 'operation-done',
      operation: operationId.torque(this.connection().id),
      ...(this.helped() ? { helped: true } : {}),
    };
  }

  private finish(words: string, ...bodies: readonly EntryBody[]): void {
    if (!this.recorder.record(words, ...bodies)) return;
    this.reset({ unit: this.form.getRawValue().unit });
    this.recorded.emit();
  }

  /** The fields as new, whether they stand open or not. */
  private reset(value: Parameters<typeof this.form.reset>[0]): void {
    this.form.reset(value);
    this.sheet()?.resetForm(value);
  }
}
