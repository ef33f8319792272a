import { Injectable } from '@angular/core';
import { Observable } from 'rxjs';
import type { Asked, Found } from '@brisk/core/planning';

/** Searches for plans off the screen’s own thread. Whoever stops listening stops the search. */
@Injectable({ providedIn: 'root' })
export class PlanSearch {
  /** Tells again and again how far the search has come, and is complete when it is done. */
  search(asked: Asked): Observable<Found> {
    return new Observable((told) => {
      let worker: Worker | undefined;
      let stopped = false;
      void import('./start-search-worker').then(({ startSearchWorker }) => {
        if (stopped) return;
        worker = startSearchWorker();
        worker.onmessage = ({ data }: MessageEvent<Found>) => {
          told.next(data);
          if (data.done) told.complete();
        };
        worker.onerror = () => told.error(new Error('The search stopped by itself. The plan stands as it was.'));
        worker.postMessage(asked);
      });
      return () => {
        stopped = true;
        worker?.terminate();
      };
    });
  }
}
