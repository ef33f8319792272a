import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { text } from '@brisk/contracts/fields';
import { entryWords, lastEntriesOf, type EntryBody, type LedgerEntry } from '@brisk/core/ledger';
import { Ask } from '../ui/ask';
import { Drawn } from '../ui/drawn';
import { Desk } from './desk';

/** Records what somebody did, says so, and offers to take it back for a few seconds. */
@Injectable()
export class Recorder {
  private readonly desk = inject(Desk);
  private readonly asker = inject(Ask);
  private readonly bar = inject(MatSnackBar);
  private readonly drawn = inject(Drawn);

  /** Records `bodies` and offers to take them back; says why where it may not be. True when recorded. */
  record(done: string, ...bodies: readonly EntryBody[]): boolean {
    // Whoever records something is at work again.
    const resting = this.desk.state()?.paused.has(this.desk.me()) ?? false;
    const back: readonly EntryBody[] =
      resting && bodies.every(({ kind }) => kind !== 'work-resumed') ? [{ kind: 'work-resumed' }] : [];
    const result = this.desk.record(...back, ...bodies);
    if ('refused' in result) {
      this.refuse(result.refused);
      return false;
    }
    // The next step comes first.
    this.drawn.then(() =>
      this.bar
        .open(done, 'Undo', { duration: 7_000, panelClass: 'recorded' })
        .onAction()
        .subscribe(() => this.takeBack(result.entries)),
    );
    return true;
  }

  /** Says why something was not recorded. */
  refuse(words: string): void {
    this.bar.open(words, 'I see', { duration: 12_000, politeness: 'assertive' });
  }

  /** Takes back what this person recorded last; says what, or why it cannot be. */
  undoLast(): void {
    const state = this.desk.state();
    const last = state ? lastEntriesOf(state, this.desk.me()) : [];
    const named = last.at(-1);
    if (!state || !named) {
      this.bar.open('There is nothing of yours to take back.', undefined, { duration: 4_000 });
      return;
    }
    if (this.takeBack(last)) this.bar.open(`Taken back: ${entryWords(state, named)}`, undefined, { duration: 7_000 });
  }

  /** Takes an older entry back, or several in this order, for a reason. */
  async correct(entries: string | readonly string[], what: string): Promise<void> {
    const answers = await this.asker.ask({
      title: `Take back: ${what}`,
      words: 'It stays in the ledger, crossed out, with your reason beside it.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Take it back',
    });
    if (!answers) return;
    const reason = String(answers['reason']);
    this.record(
      'Taken back',
      ...[entries].flat().map((corrects) => ({ kind: 'corrected' as const, corrects, reason })),
    );
  }

  /** A break begins, or is over. */
  rest(): void {
    const resting = this.desk.state()?.paused.has(this.desk.me()) ?? false;
    if (resting) this.record('Back at work', { kind: 'work-resumed' });
    else this.record('On a break', { kind: 'work-paused' });
  }

  private takeBack(entries: readonly LedgerEntry[]): boolean {
    const refused = this.desk.undo(entries);
    if (refused !== undefined) this.refuse(refused);
    return refused === undefined;
  }
}
