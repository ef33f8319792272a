import { ApplicationRef, effect, inject, Injectable } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { MatSnackBar } from '@angular/material/snack-bar';
import { firstValueFrom } from 'rxjs';
import type { AskDialog } from './ask-dialog';
import type { Answers, Asking } from './asking';
import { KeptWords } from './kept-words';

const NOT_FETCHED =
  'What asks this could not be fetched, and nothing was recorded. Load the page again when the server is reached.';

/** Asks a person a few things over the view they are in. */
@Injectable({ providedIn: 'root' })
export class Ask {
  private readonly dialogs = inject(MatDialog);
  private readonly snackBar = inject(MatSnackBar);
  private readonly kept = inject(KeptWords);
  /** Whether a question is on its way: a second touch meanwhile asks nothing. */
  private coming = false;

  constructor() {
    // A question belongs to whom it was asked, and goes with them; so does every sheet.
    let who = this.kept.who();
    effect(() => {
      const now = this.kept.who();
      if (now !== who) this.dialogs.closeAll();
      who = now;
    });
    // With the view drawn and nothing else to do, so that it is there when the server is not.
    void inject(ApplicationRef)
      .whenStable()
      .then(() => this.dialog());
  }

  /** The answers, all within their schemas, or undefined when the person thought better of it. */
  async ask(asking: Asking): Promise<Answers | undefined> {
    if (this.coming) return undefined;
    this.coming = true;
    const Dialog = await this.dialog();
    this.coming = false;
    if (!Dialog) {
      this.snackBar.open(NOT_FETCHED, undefined, { duration: 8_000 });
      return undefined;
    }
    const kept = this.kept.take<Answers>(asking.title);
    const dialog = this.dialogs.open<AskDialog, Asking, Answers>(Dialog, {
      data: { ...asking, ...(kept ? { kept } : {}) },
      width: '34rem',
      maxWidth: '96vw',
      autoFocus: 'first-tabbable',
    });
    const who = this.kept.who();
    let written: Answers = {};
    dialog.beforeClosed().subscribe(() => (written = dialog.componentInstance.written()));
    const answers = await firstValueFrom(dialog.afterClosed());
    if (who === this.kept.who()) return answers;
    this.kept.keep(who, asking.title, written);
    return undefined;
  }

  /** The dialog, by itself: whoever only looks at a view need not wait for the fields it asks with. */
  private async dialog(): Promise<typeof AskDialog | undefined> {
    try {
      return (await import('./ask-dialog')).AskDialog;
    } catch {
      return undefined;
    }
  }
}
