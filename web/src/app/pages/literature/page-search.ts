import { Injectable, signal } from '@angular/core';
import { answersAll, wordsAsked } from '@brisk/core/find';
import type { OpenLiterature } from '../../literature/open-literature';

/** More pages than that answer to a word that is on every one of them. */
const MOST = 40;

/** Looks for words on the pages of a file that is open. */
@Injectable()
export class PageSearch {
  /** Pages that answer; undefined while nothing was asked. */
  readonly found = signal<readonly number[] | undefined>(undefined);
  /** How many pages were looked at, while it is looked. */
  readonly lookedAt = signal<number | undefined>(undefined);
  private asking = 0;

  /** Looks page by page; another question ends the one before. */
  async look(opened: OpenLiterature, pages: number, query: string): Promise<void> {
    this.asking += 1;
    const mine = this.asking;
    const words = wordsAsked(query);
    this.found.set(undefined);
    this.lookedAt.set(undefined);
    if (words.length === 0) return;
    const found: number[] = [];
    for (let page = 1; page <= pages && found.length < MOST; page += 1) {
      this.lookedAt.set(page);
      const text = await opened.words(page).catch(() => '');
      if (mine !== this.asking) return;
      if (!answersAll(text, words)) continue;
      found.push(page);
      this.found.set([...found]);
    }
    this.found.set([...found]);
    this.lookedAt.set(undefined);
  }
}
