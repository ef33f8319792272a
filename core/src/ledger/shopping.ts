import type { Connection } from '../connection-map/index.js';
import { operationId, type OperationId } from '../teardown/index.js';
import type { FastenerCondition } from './entries/fasteners/fasteners-judged.js';
import { leftAndMissing, setsOf } from './counting.js';
import { singleUseOpened } from './reading.js';
import type { JobState } from './state.js';

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
  const listed = new Set(
    [...state.needs.values()].flatMap(({ stage, operation, name }) =>
      stage === 'returned' || operation === undefined ? [] : [`${operation} ${name}`],
    ),
  );
  return allToBuy(state).filter((one) => {
    const { operation, name } = listedAs(one);
    return !listed.has(`${operation} ${name}`);
  });
}

/** The step that takes what is to be bought, and the name it has on the list of parts. */
export function listedAs(one: FastenersToBuy): { readonly operation: OperationId; readonly name: string } {
  return { operation: operationId.close(one.connection.id), name: one.what };
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
