import { nowOrLater, type NowOrLater } from '@brisk/core/economics';
import { spliceList, type Pin, type SpliceLine } from '@brisk/core/pin-tables';
import { of, type Observable } from 'rxjs';
import type { AskedBoard, Reckoning } from '../app/planning/reckoning';

const known = new Map<string, NowOrLater>();

/** Reckons on this thread, each board once: tests have no workers and little time. */
export class OwnThreadReckoning implements Pick<Reckoning, 'board' | 'splices'> {
  board({ plan, decisions, terms }: AskedBoard): Observable<NowOrLater> {
    const name = JSON.stringify([
      plan.powerpack,
      plan.route,
      [...decisions.units],
      decisions.own,
      terms,
      [...terms.lives],
    ]);
    const board = known.get(name) ?? nowOrLater(plan, decisions, terms);
    known.set(name, board);
    return of(board);
  }

  splices(host: readonly Pin[], engine: readonly Pin[]): Observable<readonly SpliceLine[]> {
    return of(spliceList(host, engine));
  }
}
