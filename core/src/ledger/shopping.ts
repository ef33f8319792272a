import type { Connection } from '../connection-map/index.js';
import { operationId, type OperationId } from '../teardown/index.js';
import type { FastenerCondition } from './entries/fasteners/fasteners-judged.js';
import { leftAndMissing, setsOf } from './counting.js';
import { singleUseOpened } from './reading.js';
import type { JobState } from './state.js';

/** No name on the list of parts is longer. */
const LONGEST_NAME = 120;

/** Fasteners to be had new, and why, from what was opened and what was seen. */
export interface FastenersToBuy {
  readonly connection: Connection;
  readonly count: number;
  readonly what: string;
  readonly why: 'single-use' | 'missing' | Exclude<FastenerCondition, 'good'>;
}

/**
 * What goes onto the shopping list by itself: single-use fasteners, those that are no good, and those that are gone; none that
 * somebody has put on the list of parts already.
 */
export function fastenersToBuy(state: JobState): readonly FastenersToBuy[] {
  const listed = new Map<string, number>();
  for (const { stage, operation, name, quantity } of state.needs.values())
    if (stage !== 'returned' && operation !== undefined) {
      const key = `${operation} ${name}`;
      listed.set(key, (listed.get(key) ?? 0) + quantity);
    }
  return allToBuy(state).flatMap((one) => {
    const { operation, name } = listedAs(one);
    const key = `${operation} ${name}`;
    const there = Math.min(one.count, listed.get(key) ?? 0);
    listed.set(key, (listed.get(key) ?? 0) - there);
    return one.count > there ? [{ ...one, count: one.count - there }] : [];
  });
}

/** The step that takes what is to be bought, and the name it has on the list of parts. */
export function listedAs(one: FastenersToBuy): { readonly operation: OperationId; readonly name: string } {
  return { operation: operationId.close(one.connection.id), name: one.what.slice(0, LONGEST_NAME) };
}

function allToBuy(state: JobState): readonly FastenersToBuy[] {
  const single = singleUseOpened(state).map(({ connection, count, what }): FastenersToBuy => ({
    connection,
    count,
    what,
    why: 'single-use',
  }));
  const judged = [...state.judged].flatMap(([id, judgements]) => {
    const connection = state.work.connections.get(id);
    return judgements.flatMap(({ set, count, condition, replacedBy }): readonly FastenersToBuy[] => {
      const one = setsOf(state, id)[set];
      if (!connection || !one || condition === 'good' || replacedBy !== undefined || one.singleUse) return [];
      return [{ connection, count, what: one.what, why: condition }];
    });
  });
  const missing = leftAndMissing(state).missing.flatMap(({ connection, missing: count, accepted }) =>
    accepted
      ? []
      : [
          {
            connection,
            count,
            what: setsOf(state, connection.id)
              .map(({ what }) => what)
              .join(' or '),
            why: 'missing' as const,
          },
        ],
  );
  return [...single, ...judged, ...missing];
}
