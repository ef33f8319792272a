import { inject, Injectable } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { firstValueFrom } from 'rxjs';
import type { AskDialog } from './ask-dialog';
import type { Answers, Asking } from './asking';

/** Asks a person a few things over the view they are in. */
@Injectable({ providedIn: 'root' })
export class Ask {
  private readonly dialogs = inject(MatDialog);

  /** The answers, all within their schemas, or undefined when the person thought better of it. */
  async ask(asking: Asking): Promise<Answers | undefined> {
    // Fetched with the first question: whoever only looks needs none of the fields it asks with.
    const { AskDialog: Dialog } = await import('./ask-dialog');
    const dialog = this.dialogs.open<AskDialog, Asking, Answers>(Dialog, {
      data: asking,
      width: '34rem',
      maxWidth: '96vw',
      autoFocus: 'first-tabbable',
    });
    return firstValueFrom(dialog.afterClosed());
  }
}
