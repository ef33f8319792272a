import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { LONGEST } from '@brisk/contracts/fields';
import type { ShiftLine } from '@brisk/core/ledger';
import { EntryField } from '../ui/entry-field';
import { KeptWords } from '../ui/kept-words';
import { ShiftLines } from './shift-lines';

/** What somebody hands over: the lines as they were worked out, and what they add. */
export interface ShiftWritten {
  readonly lines: readonly ShiftLine[];
  readonly added?: string;
}

/** The end of a shift: how the machine stands, to be read through, added to and handed over. */
@Component({
  selector: 'bl-shift-sheet',
  imports: [EntryField, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, ShiftLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Hand the shift over</h2>
    <mat-dialog-content class="stack">
      <bl-shift-lines [lines]="lines" />
      <bl-entry
        type="lines"
        label="What the next one has to know"
        field="added"
        [value]="added()"
        (typed)="added.set($event)"
      />
      @if (tooLong()) {
        <p class="marker" role="alert">At most {{ longest }} letters: the rest is a note.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions>
      <button matButton type="button" mat-dialog-close>Never mind</button>
      <button matButton="filled" type="button" (click)="handOver()">Hand it over</button>
    </mat-dialog-actions>
  `,
})
export class ShiftSheet {
  protected readonly lines = inject<readonly ShiftLine[]>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<ShiftSheet, ShiftWritten>>(MatDialogRef);
  protected readonly longest = LONGEST.text;
  private readonly kept = inject(KeptWords);
  private readonly mine = this.kept.who();
  protected readonly added = signal(this.kept.take<string>('shift') ?? '');
  protected readonly tooLong = computed(() => this.added().trim().length > LONGEST.text);

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      if (this.mine !== this.kept.who()) this.kept.keep(this.mine, 'shift', this.added());
    });
  }

  protected handOver(): void {
    if (this.tooLong()) return;
    const added = this.added().trim();
    this.dialog.close({ lines: this.lines, ...(added === '' ? {} : { added }) });
  }
}
