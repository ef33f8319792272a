import { Injectable } from '@angular/core';
import type { Asked, Found } from '@brisk/core/planning';
import { Observable } from 'rxjs';
import type { WorkerLine } from '../ui/worker-line';
import type { SearchWork } from './search.worker';

/** Searches for plans off the screen’s own thread. Whoever stops listening stops the search. */
@Injectable({ providedIn: 'root' })
export class PlanSearch {
  /** Tells again and again how far the search has come, and is complete when it is done. */
  search(asked: Asked): Observable<Found> {
    return new Observable((told) => {
      let line: WorkerLine<SearchWork> | undefined;
      let stopped = false;
      const searching = async () => {
        const [{ proxy }, { lineTo }, { startSearchWorker }] = await Promise.all([
          import('comlink'),
          import('../ui/worker-line'),
          import('./start-search-worker'),
        ]);
        if (stopped) return;
        line = lineTo<SearchWork>(startSearchWorker());
        const tell = proxy((found: Found) => told.next(found));
        await line.ask((work) => work.search(asked, tell));
        told.complete();
      };
      searching().catch(() => told.error(new Error('The search stopped by itself. The plan stands as it was.')));
      return () => {
        stopped = true;
        line?.hangUp();
      };
    });
  }
}
