import { Injectable } from '@angular/core';
import type { BenchDecisions } from '@brisk/core/bench';
import type { JobPlan } from '@brisk/core/connection-map';
import type { NowOrLater, ReckonedWith } from '@brisk/core/economics';
import { Observable } from 'rxjs';
import type { WorkerLine } from '../ui/worker-line';

/** What the page asks for: the board of one job. */
export interface AskedBoard {
  readonly plan: JobPlan;
  readonly decisions: BenchDecisions;
  readonly terms: ReckonedWith;
}

/** What the page asks of the worker. */
export interface ReckonWork {
  reckon(asked: AskedBoard): NowOrLater;
}

/** Reckons now against later off the screen’s own thread. Whoever stops listening stops it. */
@Injectable({ providedIn: 'root' })
export class Reckoning {
  board(asked: AskedBoard): Observable<NowOrLater> {
    return new Observable((told) => {
      let line: WorkerLine<ReckonWork> | undefined;
      let stopped = false;
      const reckoning = async () => {
        const [{ lineTo }, { startReckonWorker }] = await Promise.all([
          import('../ui/worker-line'),
          import('./start-reckon-worker'),
        ]);
        if (stopped) return;
        line = lineTo<ReckonWork>(startReckonWorker());
        told.next(await line.ask((work) => work.reckon(asked)));
        told.complete();
      };
      reckoning().catch(() =>
        told.error(new Error('It could not be reckoned. The list stands; decide by what you see and know.')),
      );
      return () => {
        stopped = true;
        line?.hangUp();
      };
    });
  }
}
