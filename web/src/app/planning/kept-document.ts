import { signal } from '@angular/core';
import type { Kept, ToKeep } from '@brisk/contracts/shop';
import { firstValueFrom, type Observable } from 'rxjs';
import { ValidationError } from 'yup';
import { problemKind, problemWords } from '../api/problem-words';

/** Something the shop keeps on the server: loaded once, changed one change after the other, each on top of the latest. */
export class KeptDocument<Document> {
  private readonly kept = signal<Kept<Document> | undefined>(undefined);
  private turn: Promise<unknown> = Promise.resolve();

  /** What went wrong last, in words; nothing where nothing did. */
  readonly trouble = signal('');

  constructor(
    private readonly fetch: () => Observable<Kept<Document>>,
    private readonly keep: (document: ToKeep<Document>) => Observable<Kept<Document>>,
  ) {}

  /** The document as it is known here; nothing until it is loaded. */
  readonly document = (): Document | undefined => this.kept()?.document;

  async load(): Promise<void> {
    try {
      this.kept.set(await firstValueFrom(this.fetch()));
      this.trouble.set('');
    } catch (error) {
      this.trouble.set(problemWords(error));
    }
  }

  /** Writes `change` of the latest document, on top of whatever others wrote meanwhile. */
  change(change: (before: Document) => Document): Promise<void> {
    const run = this.turn.then(() => this.write(change, true));
    this.turn = run;
    return run;
  }

  private async write(change: (before: Document) => Document, again: boolean): Promise<void> {
    const kept = this.kept();
    if (!kept) {
      this.trouble.set('The list is not loaded. Nothing was written.');
      return;
    }
    try {
      const document = change(kept.document);
      this.kept.set(await firstValueFrom(this.keep({ revision: kept.revision, document })));
      this.trouble.set('');
    } catch (error) {
      if (again && problemKind(error) === 'stale-revision') {
        await this.load();
        await this.write(change, false);
        return;
      }
      const words = error instanceof ValidationError ? error.message : problemWords(error);
      this.trouble.set(`${words} Nothing was written.`);
    }
  }
}
