import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { LongListPick } from './long-list-pick';
import { PickOne } from './pick-one';
import { EntryField } from './entry-field';
import { ChoiceKeys } from './choice-keys';
import type { Answers, Asking, Question } from './asking';
import { yupRule } from './yup-rule';

/** A few questions on one sheet; it closes with the answers only when every one of them fits. */
@Component({
  selector: 'bl-ask-dialog',
  imports: [
    ChoiceKeys,
    EntryField,
    LongListPick,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    PickOne,
    ReactiveFormsModule,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ask-dialog.html',
  styleUrl: './ask-dialog.scss',
})
export class AskDialog {
  protected readonly asking = inject<Asking>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<AskDialog, Answers>>(MatDialogRef);

  protected readonly form = new FormGroup(
    Object.fromEntries(
      this.asking.questions.map(({ field, schema, initial }) => [
        field,
        new FormControl<string | number | null>(this.asking.kept?.[field] ?? initial ?? null, yupRule(schema)),
      ]),
    ),
  );
  protected readonly sent = signal(false);

  protected control({ field }: Question): FormControl<string | number | null> {
    const control = this.form.controls[field];
    if (!control) throw new Error(`No control for ${field}`);
    return control;
  }

  /** A handful of choices are big keys; more than that are a list. */
  protected asKeys({ as, choices = [] }: Question): boolean {
    return as === 'choice' && choices.length <= 8;
  }

  /** More than anybody reads through: found by typing. */
  protected isLong({ choices = [] }: Question): boolean {
    return choices.length > 20;
  }

  /** What is written so far, but for what nobody else may see. */
  written(): Answers {
    const secret = new Set(
      this.asking.questions.filter(({ as }) => as === 'secret' || as === 'pin').map(({ field }) => field),
    );
    return Object.fromEntries(
      Object.entries(this.form.value).flatMap(([field, value]) =>
        secret.has(field) || value === null || value === undefined ? [] : [[field, value]],
      ),
    );
  }

  protected send(): void {
    this.sent.set(true);
    if (this.form.invalid) return;
    this.dialog.close(
      Object.fromEntries(
        Object.entries(this.form.value).map(([field, value]) => [
          field,
          typeof value === 'string' ? value.trim() || undefined : (value ?? undefined),
        ]),
      ),
    );
  }
}
