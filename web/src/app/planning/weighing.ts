import type { JobPlan } from '@brisk/core/connection-map';
import { foldLedger, type JobState, type LedgerEntry, type PlanSettings } from '@brisk/core/ledger';
import { openedBy, planned, workOrder, type Opened } from '@brisk/core/planning';
import type { Schedule } from '@brisk/core/schedule';
import type { Half } from '@brisk/core/teardown';
import { concatMap, from, last, map, scan, type Observable } from 'rxjs';
import type { PlanSearch } from './plan-search';

/** What one way of doing a job comes to, with a crew. */
export interface Figures extends Opened {
  readonly halves: Readonly<Partial<Record<Half, Schedule>>>;
}

/** What is done at the bench is the same whichever way it comes out. */
const WEIGHED: readonly Half[] = ['out', 'back'];

/**
 * Plans both halves of `plan` with a short search each, the way out first, and tells the figures as they come. `settings`
 * hold for both; what is recorded in `entries` is done. Throws `MapError` where the plan cannot be worked.
 */
export function weighed(
  search: PlanSearch,
  plan: JobPlan,
  entries: readonly LedgerEntry[],
  settings: PlanSettings,
  forMs: number,
): Observable<Figures> {
  const state: JobState = foldLedger(plan, entries);
  const whole = openedBy(plan);
  return from(WEIGHED).pipe(
    concatMap((half) => {
      const first = planned(state, half, settings, undefined);
      const { heldUp: _heldUp, lostPins: _lostPins, ...problem } = first.problem;
      return search.search({ problem, from: workOrder(first), seed: 1, forMs }).pipe(
        last(),
        map((found) => ({ [half]: planned(state, half, settings, found.plan).schedule })),
      );
    }),
    scan((halves, more) => ({ ...halves, ...more }), {} as Figures['halves']),
    map((halves) => ({ ...whole, halves })),
  );
}
