import { Injectable } from '@angular/core';
import type { WayFound } from '@brisk/core/lift';
import { Observable } from 'rxjs';
import type { WorkerLine } from '../ui/worker-line';
import type { AskedWay, WayWork } from './way.worker';

/** Looks for the way through off the screen’s own thread. Whoever stops listening stops the search. */
@Injectable({ providedIn: 'root' })
export class WaySearch {
  /** Tells again and again what is known of the way, and is complete when everything is. */
  find(asked: AskedWay): Observable<WayFound> {
    return new Observable((told) => {
      let line: WorkerLine<WayWork> | undefined;
      let stopped = false;
      const searching = async () => {
        const [{ proxy }, { lineTo }, { startWayWorker }] = await Promise.all([
          import('comlink'),
          import('../ui/worker-line'),
          import('./start-way-worker'),
        ]);
        if (stopped) return;
        line = lineTo<WayWork>(startWayWorker());
        const tell = proxy((found: WayFound) => told.next(found));
        await line.ask((work) => work.find(asked, tell));
        told.complete();
      };
      searching().catch((error: unknown) =>
        told.error(
          error instanceof Error && error.name === 'SceneError'
            ? error
            : new Error('The search stopped by itself. Measure as before, by eye and hand.'),
        ),
      );
      return () => {
        stopped = true;
        line?.hangUp();
      };
    });
  }
}
