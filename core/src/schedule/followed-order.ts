import type { Operation, OperationId } from '../teardown/index.js';
import type { Orderer, OrderingProblem } from './problem.js';

/**
 * An order that keeps to `plan` as far as the edges allow. What the plan does not know, such as a connection found
 * since, goes after the planned work of its own station, and before whatever waits for it.
 */
export function followedOrder(plan: readonly OperationId[]): Orderer {
  return (problem) => {
    const ranks = ranksOf(problem, plan);
    const waits = new Map(
      problem.operations.map(({ id }) => [
        id,
        (problem.graph.into.get(id) ?? []).filter(({ before }) => ranks.has(before)).length,
      ]),
    );
    const byId = new Map(problem.operations.map((operation) => [operation.id, operation]));
    const ready = new Set(problem.operations.filter(({ id }) => waits.get(id) === 0));
    const order: Operation[] = [];
    while (ready.size > 0) {
      const willing = [...ready].filter(({ id }) => problem.later?.has(id) !== true);
      const next = (willing.length > 0 ? willing : [...ready]).reduce((first, one) =>
        (ranks.get(one.id) ?? 0) < (ranks.get(first.id) ?? 0) ? one : first,
      );
      ready.delete(next);
      order.push(next);
      for (const { after } of problem.graph.outOf.get(next.id) ?? []) {
        const left = waits.get(after);
        const then = byId.get(after);
        if (left === undefined || !then) continue;
        waits.set(after, left - 1);
        if (left === 1) ready.add(then);
      }
    }
    return order;
  };
}

/** Places in the plan; between two of them for what it does not know. */
function ranksOf({ operations, graph }: OrderingProblem, plan: readonly OperationId[]): Map<OperationId, number> {
  const place = new Map(plan.map((id, index) => [id, index]));
  const ranks = new Map(operations.map(({ id }) => [id, place.get(id) ?? Infinity]));
  const known = operations.filter(({ id }) => place.has(id));
  for (const { id, station, height } of operations) {
    if (place.has(id)) continue;
    const alike = known.filter((other) => other.station === station && [height, 'either'].includes(other.height));
    const beside = Math.max(-1, ...alike.map((other) => place.get(other.id) ?? -1));
    const waiting = (graph.outOf.get(id) ?? []).map(({ after }) => place.get(after) ?? Infinity);
    const behind = Math.min(plan.length, ...waiting);
    ranks.set(id, Math.min(beside >= 0 ? beside + 0.5 : plan.length, behind - 0.5));
  }
  return ranks;
}
