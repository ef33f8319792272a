import { ChangeDetectionStrategy, Component, computed, inject, viewChild } from '@angular/core';
import { FormControl, FormGroup, FormGroupDirective, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { count, name, text } from '@brisk/contracts/fields';
import { fastenersToBuy, unsettled, type FastenersToBuy, CONDITION_WORDS } from '@brisk/core/ledger';
import { format } from 'date-fns';
import { v4 as uuid } from 'uuid';
import { EntryField } from '../../ui/entry-field';
import { Desk } from '../../session/desk';
import { yupRule } from '../../ui/yup-rule';
import { StepActions } from '../../working-step/step-actions';
import { Recorder } from '../../session/recorder';

const WHY_WORDS: Readonly<Record<FastenersToBuy['why'], string>> = {
  ...CONDITION_WORDS,
  'single-use': 'new every time',
  missing: 'missing',
};

/** While it is out: what to order and why, what has arrived, and what was seen. */
@Component({
  selector: 'bl-bench',
  imports: [EntryField, MatButton, MatIcon, ReactiveFormsModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench.html',
  styleUrl: './bench.scss',
})
export class Bench {
  protected readonly desk = inject(Desk);
  protected readonly actions = inject(StepActions);
  private readonly recorder = inject(Recorder);
  private readonly sheet = viewChild.required(FormGroupDirective);

  protected readonly form = new FormGroup({
    name: new FormControl<string>('', yupRule(name().label('Part'))),
    quantity: new FormControl<number | null>(1, yupRule(count(10_000, 1).label('How many'))),
    reason: new FormControl<string>('', yupRule(text().label('Why'))),
  });

  protected readonly needs = computed(() => [...(this.desk.state()?.needs.values() ?? [])].reverse());
  protected readonly notes = computed(() =>
    [...(this.desk.state()?.notes ?? [])].reverse().map((note) => ({
      ...note,
      when: format(new Date(note.at), 'd MMM HH:mm'),
      about: note.operation === undefined ? undefined : this.desk.state()?.work.operations.get(note.operation)?.title,
    })),
  );

  /** Fasteners to be had new: they are on the list whether anybody thinks of them or not. */
  protected readonly fasteners = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return fastenersToBuy(state).map(({ connection: { id, name: where }, count: many, what, why }) => ({
      key: id + what + why,
      id,
      many,
      what,
      where,
      why: WHY_WORDS[why],
    }));
  });

  protected readonly out = computed(() => {
    const state = this.desk.state();
    return state !== undefined && unsettled(state, 'lift').length === 0;
  });

  protected order(): void {
    const { name: part, quantity, reason } = this.form.getRawValue();
    if (this.form.invalid || !part || quantity === null || !reason) return;
    const recorded = this.recorder.record(`On the list: ${part}`, {
      kind: 'part-needed',
      need: uuid(),
      name: part.trim(),
      quantity,
      reason: reason.trim(),
    });
    if (recorded) this.sheet().resetForm({ name: '', quantity: 1, reason: '' });
  }

  protected arrived(need: string, part: string): void {
    this.recorder.record(`Arrived: ${part}`, { kind: 'part-arrived', need });
  }
}
