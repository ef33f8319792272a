import { HttpErrorResponse } from '@angular/common/http';
import type { Kept, ToKeep } from '@brisk/contracts/shop';
import { of, throwError, type Observable } from 'rxjs';
import { ValidationError } from 'yup';
import { problemAnswer } from '../../testing/problem-answer';
import { KeptDocument } from './kept-document';

interface Words {
  readonly words: readonly string[];
}

/** A server that keeps one list, over the revision its writer knew. */
class Shelf {
  kept: Kept<Words> = { revision: 4, updatedAt: '', document: { words: ['sling'] } };
  away = false;
  writes = 0;
  readonly document = new KeptDocument<Words>(
    () => this.fetch(),
    (toKeep) => this.keep(toKeep),
  );

  private fetch(): Observable<Kept<Words>> {
    return this.away ? throwError(() => new HttpErrorResponse({ status: 0 })) : of(this.kept);
  }

  private keep({ revision, document }: ToKeep<Words>): Observable<Kept<Words>> {
    this.writes += 1;
    if (this.away) return throwError(() => new HttpErrorResponse({ status: 0 }));
    if (revision !== this.kept.revision)
      return throwError(() => problemAnswer('stale-revision', 409, 'Somebody else changed this meanwhile.'));
    this.kept = { revision: revision + 1, updatedAt: '', document };
    return of(this.kept);
  }
}

const add =
  (word: string) =>
  ({ words }: Words): Words => ({ words: [...words, word] });

describe('what the shop keeps', () => {
  it('is loaded, and changed one change after the other', async () => {
    const { document } = new Shelf();
    expect(document.document()).toBeUndefined();
    await document.load();
    await Promise.all([document.change(add('stand')), document.change(add('jack'))]);
    expect(document.document()?.words).toEqual(['sling', 'stand', 'jack']);
    expect(document.trouble()).toBe('');
  });

  it('is changed on top of what somebody else wrote meanwhile', async () => {
    const shelf = new Shelf();
    await shelf.document.load();
    shelf.kept = { revision: 9, updatedAt: '', document: { words: ['sling', 'theirs'] } };
    await shelf.document.change(add('mine'));
    expect(shelf.kept.document.words).toEqual(['sling', 'theirs', 'mine']);
    expect(shelf.writes).toBe(2);
  });

  it('stays as it is, and says so, where it is not loaded or the server is away', async () => {
    const shelf = new Shelf();
    await shelf.document.change(add('stand'));
    expect(shelf.document.trouble()).toBe('The list is not loaded. Nothing was written.');
    await shelf.document.load();
    shelf.away = true;
    await shelf.document.change(add('stand'));
    expect(shelf.document.trouble()).toMatch(/The server does not answer.+Nothing was written\./);
    expect(shelf.document.document()?.words).toEqual(['sling']);
    shelf.away = false;
    await shelf.document.change(add('stand'));
    expect(shelf.document.trouble()).toBe('');
    expect(shelf.kept.document.words).toEqual(['sling', 'stand']);
  });

  it('is not sent where the change itself is refused', async () => {
    const shelf = new Shelf();
    await shelf.document.load();
    await shelf.document.change(() => {
      throw new ValidationError('A sling has no weight.');
    });
    expect(shelf.document.trouble()).toBe('A sling has no weight. Nothing was written.');
    expect(shelf.writes).toBe(0);
  });
});
