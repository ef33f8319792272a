import type { PartId } from '../connection-map/index.js';
import {
  ancestorsOf,
  descendantsOf,
  operationId,
  type Operation,
  type OperationId,
  type PrecedenceGraph,
  type Run,
} from '../teardown/index.js';

/** More than so many things are not done behind one cover in one go. */
const MOST_BEHIND = 4;
/** What is done behind a cover without leaving it. */
const BEHIND: readonly Operation['kind'][] = ['renew', 'prepare'];

/**
 * What is taken off at the bench, only for what is behind it, goes on again in the same hands: off, marked, renewed, on. `removed`
 * are the parts taken off there; where anything else has to come between, it is no one job.
 */
export function coverRuns(
  removed: Iterable<PartId>,
  operations: readonly Operation[],
  graph: PrecedenceGraph,
): readonly Run[] {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  return [...removed].flatMap((part): readonly Run[] => {
    const [off, on] = [byId.get(operationId.remove(part)), byId.get(operationId.fit(part))];
    if (!off || !on) return [];
    const before = ancestorsOf(on.id, graph);
    const behind = [...descendantsOf(off.id, graph)].flatMap((id) => (before.has(id) ? (byId.get(id) ?? []) : []));
    if (behind.length > MOST_BEHIND || behind.some(({ kind }) => !BEHIND.includes(kind))) return [];
    const row: readonly OperationId[] = [off.id, ...inTurn(behind, graph), on.id];
    return row.slice(1).map((then, index) => ({ first: row[index] ?? off.id, then }));
  });
}

/** `operations`, each after what it waits for. */
function inTurn(operations: readonly Operation[], graph: PrecedenceGraph): readonly OperationId[] {
  return operations
    .map(({ id }) => ({ id, first: ancestorsOf(id, graph) }))
    .sort((one, other) => one.first.size - other.first.size)
    .map(({ id }) => id);
}
