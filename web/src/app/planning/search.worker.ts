/// <reference lib="webworker" />
import { SearchRun, type Asked, type Found } from '@brisk/core/planning';
import { expose } from 'comlink';

/** Between slices the worker hears whether it is to stop. */
const SLICE_MS = 60;

/** What the page asks of the worker. */
export interface SearchWork {
  /** Searches as asked, telling again and again how far it has come; done when the search is. */
  search(asked: Asked, told: (found: Found) => unknown): Promise<void>;
}

expose({
  async search(asked, told) {
    const run = new SearchRun(asked, () => performance.now());
    for (;;) {
      const found = run.slice(SLICE_MS);
      await told(found);
      if (found.done) return;
    }
  },
} satisfies SearchWork);
