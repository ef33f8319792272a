import type { ConnectionMap } from '../connection-map/index.js';
import { operationId, type Operation, type Run } from '../teardown/index.js';

/** Whoever puts something in by feel goes straight on to measure whether it is home, and to hold it there. */
export function measuredRuns({ chores = [] }: ConnectionMap, operations: readonly Operation[]): readonly Run[] {
  const there = new Set(operations.map(({ id }) => id));
  return chores.flatMap(({ id, measures, after: [joint, ...more] }): readonly Run[] => {
    if (measures === undefined || joint === undefined || more.length > 0 || !('connection' in joint)) return [];
    const run = { first: operationId.close(joint.connection), then: operationId.chore(id) };
    return there.has(run.first) && there.has(run.then) ? [run] : [];
  });
}
