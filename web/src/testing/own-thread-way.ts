import { findWay, inShape, type WayFound } from '@brisk/core/lift';
import { EMPTY, from, type Observable } from 'rxjs';
import type { WaySearch } from '../app/planning/way-search';
import type { AskedWay } from '../app/planning/way.worker';

/** Gives the first answer, on this thread, and takes it for the last: tests have no workers and little time. */
export class OwnThreadWay implements Pick<WaySearch, 'find'> {
  find({ facts, leg }: AskedWay): Observable<WayFound> {
    const lift = inShape(facts);
    if (!lift) return EMPTY;
    const search = findWay(lift, leg, () => undefined);
    let found = search.next().value;
    while (found.way === undefined) found = search.next().value;
    return from([found, { ...found, share: 1, fine: true, back: 'as out' as const, offers: [] }]);
  }
}
