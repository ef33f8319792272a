import { Injectable } from '@angular/core';
import type { BenchDecisions } from '@brisk/core/bench';
import type { JobPlan } from '@brisk/core/connection-map';
import type { NowOrLater, ReckonedWith } from '@brisk/core/economics';
import type { Pin, SpliceLine } from '@brisk/core/pin-tables';
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
  splice(host: readonly Pin[], engine: readonly Pin[]): readonly SpliceLine[];
}

const NOT_RECKONED = 'It could not be reckoned. The list stands; decide by what you see and know.';
const NOT_MATCHED = 'The two looms could not be matched. Read their tables once more.';

/** What is worked out at the bench off the screen’s own thread. Whoever stops listening stops it. */
@Injectable({ providedIn: 'root' })
export class Reckoning {
  /** Now against later. */
  board(asked: AskedBoard): Observable<NowOrLater> {
    return askWorker((line) => line.ask((work) => work.reckon(asked)), NOT_RECKONED);
  }

  /** What is made of two looms, pin by pin. */
  splices(host: readonly Pin[], engine: readonly Pin[]): Observable<readonly SpliceLine[]> {
    return askWorker((line) => line.ask((work) => work.splice(host, engine)), NOT_MATCHED);
  }
}

function askWorker<Told>(ask: (line: WorkerLine<ReckonWork>) => Promise<Told>, trouble: string): Observable<Told> {
  return new Observable((told) => {
    let line: WorkerLine<ReckonWork> | undefined;
    let stopped = false;
    const asking = async () => {
      const [{ lineTo }, { startReckonWorker }] = await Promise.all([
        import('../ui/worker-line'),
        import('./start-reckon-worker'),
      ]);
      if (stopped) return;
      line = lineTo<ReckonWork>(startReckonWorker());
      told.next(await ask(line));
      told.complete();
    };
    asking().catch(() => told.error(new Error(trouble)));
    return () => {
      stopped = true;
      line?.hangUp();
    };
  });
}
