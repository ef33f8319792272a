import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal, untracked } from '@angular/core';
import { FormArray, FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { amount, list, name, positive, text } from '@brisk/contracts/fields';
import type { Cause, TroubleTest } from '@brisk/core/diagnosis';
import { v4 as uuid } from 'uuid';
import { EntryField } from '../../ui/entry-field';
import { LongListPick } from '../../ui/long-list-pick';
import { NamesField } from '../../ui/names-field';
import { yupRule } from '../../ui/yup-rule';

const MOST_WEIGHT = 1_000;
const MOST_MINUTES = 10_000;
const BETWEEN = '\n';

type SignRow = FormGroup<{ readonly answer: FormControl<string>; readonly percent: FormControl<number | null> }>;

/** One cause, a new one or as it is: what it is, how often, what it has to do with, how it shows, what is done about it. */
@Component({
  selector: 'bl-cause-form',
  imports: [EntryField, LongListPick, MatButton, NamesField, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cause-form.html',
  styleUrl: './cause-form.scss',
})
export class CauseForm {
  readonly cause = input.required<Cause | undefined>();
  readonly tests = input.required<readonly TroubleTest[]>();
  readonly written = output<Cause>();
  readonly left = output();
  protected readonly trouble = signal('');
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: yupRule(name().label('The cause')) }),
    weight: new FormControl<number | null>(null, yupRule(positive(MOST_WEIGHT).label('How often'))),
    lookMin: new FormControl<number | null>(null, yupRule(positive(MOST_MINUTES).label('Minutes'))),
    mend: new FormControl('', { nonNullable: true, validators: yupRule(text().label('What is done')) }),
    words: new FormControl<readonly string[]>([], { nonNullable: true, validators: yupRule(list(name(), 40)) }),
    signs: new FormArray<SignRow>([]),
  });
  /** Every answer of every test, as one picks it. */
  protected readonly answers = computed(() =>
    this.tests().flatMap(({ id, asked, answers }) =>
      answers.map((answer) => ({ value: `${id}${BETWEEN}${answer.id}`, words: `${asked} ${answer.words}` })),
    ),
  );

  constructor() {
    effect(() => {
      const cause = this.cause();
      untracked(() => this.begin(cause));
    });
  }

  protected another(answer = '', percent: number | null = null): void {
    this.form.controls.signs.push(
      new FormGroup({
        answer: new FormControl(answer, { nonNullable: true, validators: yupRule(text().label('What shows')) }),
        percent: new FormControl<number | null>(percent, yupRule(amount(100).label('How often it shows'))),
      }),
    );
  }

  protected without(at: number): void {
    this.form.controls.signs.removeAt(at);
  }

  protected write(): void {
    this.trouble.set('');
    if (this.form.invalid) return;
    const { name: called, weight, lookMin, mend, words, signs } = this.form.getRawValue();
    if (signs.length === 0) {
      this.trouble.set('Nothing would show it: say at least one answer of one test.');
      return;
    }
    const before = this.cause();
    const shown: Record<string, Record<string, number>> = {};
    for (const { answer, percent } of signs) {
      const [test = '', of = ''] = answer.split(BETWEEN);
      shown[test] = { ...shown[test], [of]: (percent ?? 0) / 100 };
    }
    // What it has to do with by name stays as it ships.
    const { words: _before, ...named } = before?.about ?? {};
    this.written.emit({
      id: before?.id ?? uuid(),
      name: called.trim(),
      weight: weight ?? 1,
      lookMin: lookMin ?? 5,
      mend: mend.trim(),
      about: {
        ...named,
        ...(words.length > 0 ? { words } : {}),
      },
      signs: shown,
      ...(before?.for ? { for: before.for } : {}),
      ...(before?.stop === undefined ? {} : { stop: before.stop }),
      ...(before?.lookAfter ? { lookAfter: before.lookAfter } : {}),
    });
  }

  private begin(cause: Cause | undefined): void {
    this.trouble.set('');
    this.form.controls.signs.clear();
    this.form.reset({
      name: cause?.name ?? '',
      weight: cause?.weight ?? 3,
      lookMin: cause?.lookMin ?? 5,
      mend: cause?.mend ?? '',
      words: cause?.about.words ?? [],
    });
    for (const [test, likely] of Object.entries(cause?.signs ?? {}))
      for (const [answer, share] of Object.entries(likely))
        this.another(`${test}${BETWEEN}${answer}`, Math.round(share * 1_000) / 10);
    if (!cause) this.another();
  }
}
