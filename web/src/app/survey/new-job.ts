import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { id, name, oneOf, optionalText } from '@brisk/contracts/fields';
import { JOB_REASONS, type JobReason, type LayoutSummary } from '@brisk/contracts/job';
import { catchError, EMPTY, firstValueFrom } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { string } from 'yup';
import { wrongWith, yupRule } from '../forms/yup-rule';
import { Api } from '../server/api';
import { problemWords } from '../server/problem-words';

const REASON_WORDS: Readonly<Record<JobReason, string>> = {
  'same-back': 'The same one goes back',
  exchange: 'An exchange unit goes in',
  swap: 'Another kind, from a donor',
};

/** The survey of a new job: the machine, why, who, and what comes out which way. */
@Component({
  selector: 'bl-new-job',
  imports: [MatButton, MatFormFieldModule, MatInput, ReactiveFormsModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './new-job.html',
  styleUrl: './new-job.scss',
})
export class NewJobView {
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  /** Made once, so that sending twice begins one job. */
  private readonly id = uuid();
  protected readonly wrongWith = wrongWith;
  protected readonly reasons = JOB_REASONS.map((value) => ({ value, words: REASON_WORDS[value] }));

  protected readonly trouble = signal('');
  protected readonly sending = signal(false);
  protected readonly sent = signal(false);
  protected readonly layouts = toSignal(
    this.api.layouts().pipe(
      catchError((error: unknown) => {
        this.trouble.set(problemWords(error));
        return EMPTY;
      }),
    ),
  );

  protected readonly form = new FormGroup({
    machine: new FormControl('', { nonNullable: true, validators: yupRule(name().label('Machine')) }),
    title: new FormControl('', { nonNullable: true, validators: yupRule(name().label('Job')) }),
    reason: new FormControl<JobReason>('same-back', {
      nonNullable: true,
      validators: yupRule(oneOf(JOB_REASONS).label('Reason')),
    }),
    crew: new FormControl('', {
      nonNullable: true,
      validators: yupRule(
        name()
          .max(600)
          .test('each', 'Each name has to be 120 characters at most.', (names) =>
            namesIn(names).every((one) => one.length <= 120),
          )
          .test('some', 'Somebody has to be on it.', (names) => namesIn(names).length > 0)
          .test('few', 'Twenty people at most.', (names) => namesIn(names).length <= 20)
          .label('Crew'),
      ),
    }),
    dueOn: new FormControl('', {
      nonNullable: true,
      validators: yupRule(
        string()
          .matches(/^\d{4}-\d{2}-\d{2}$/, 'A day is needed here, or nothing.')
          .label('Due'),
      ),
    }),
    note: new FormControl('', { nonNullable: true, validators: yupRule(optionalText().label('Note')) }),
    layout: new FormControl('', { nonNullable: true, validators: yupRule(id().label('Layout')) }),
    powerpack: new FormControl('', { nonNullable: true, validators: yupRule(id().label('Powerpack')) }),
    route: new FormControl('', { nonNullable: true, validators: yupRule(id().label('Route')) }),
  });

  private readonly chosen = toSignal(this.form.controls.layout.valueChanges, { initialValue: '' });
  protected readonly layout = computed<LayoutSummary | undefined>(() =>
    this.layouts()?.find(({ layout }) => layout === this.chosen()),
  );

  constructor() {
    effect(() => {
      const [only, ...others] = this.layouts() ?? [];
      if (only && others.length === 0) this.form.controls.layout.setValue(only.layout);
    });
    this.form.controls.layout.valueChanges.pipe(takeUntilDestroyed()).subscribe((layout) => {
      const found = this.layouts()?.find((one) => one.layout === layout);
      this.form.patchValue({ powerpack: found?.powerpacks[0]?.id ?? '', route: found?.routes[0]?.id ?? '' });
    });
  }

  protected async begin(): Promise<void> {
    this.sent.set(true);
    if (this.form.invalid || this.sending()) {
      this.trouble.set(this.form.invalid ? 'Something is missing or not right; it is marked above.' : '');
      return;
    }
    const { crew, dueOn, note, machine, title, ...chosen } = this.form.getRawValue();
    this.sending.set(true);
    this.trouble.set('');
    try {
      const job = await firstValueFrom(
        this.api.begin({
          id: this.id,
          machine: machine.trim(),
          title: title.trim(),
          crew: namesIn(crew),
          ...chosen,
          ...(dueOn ? { dueOn } : {}),
          ...(note.trim() ? { note: note.trim() } : {}),
        }),
      );
      await this.router.navigate(['/jobs', job.id, 'plan']);
    } catch (error) {
      this.trouble.set(`${problemWords(error)} What you typed is still here.`);
    } finally {
      this.sending.set(false);
    }
  }
}

/** The names in a line of them, parted by commas. */
function namesIn(line: string): readonly string[] {
  return [...new Set((line ?? '').split(',').map((one) => one.trim()))].filter((one) => one !== '');
}
