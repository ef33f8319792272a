import type { OperationId, Precedence } from './operation.js';

/** Precedence edges as adjacency, in both directions. */
export interface PrecedenceGraph {
  readonly into: ReadonlyMap<OperationId, readonly Precedence[]>;
  readonly outOf: ReadonlyMap<OperationId, readonly Precedence[]>;
}

/** `edges` looked up by either end. */
export function precedenceGraph(edges: readonly Precedence[]): PrecedenceGraph {
  const into = new Map<OperationId, Precedence[]>();
  const outOf = new Map<OperationId, Precedence[]>();
  const add = (index: Map<OperationId, Precedence[]>, id: OperationId, edge: Precedence) => {
    const list = index.get(id);
    if (list) list.push(edge);
    else index.set(id, [edge]);
  };
  for (const edge of edges) {
    add(into, edge.after, edge);
    add(outOf, edge.before, edge);
  }
  return { into, outOf };
}

/** Everything that has to wait, directly or not, for `from`; `from` itself is not among them. */
export function descendantsOf(from: OperationId, { outOf }: PrecedenceGraph): ReadonlySet<OperationId> {
  return walk(from, outOf, 'after');
}

/** Everything that `from` has to wait for, directly or not; `from` itself is not among them. */
export function ancestorsOf(from: OperationId, { into }: PrecedenceGraph): ReadonlySet<OperationId> {
  return walk(from, into, 'before');
}

function walk(
  from: OperationId,
  edges: ReadonlyMap<OperationId, readonly Precedence[]>,
  end: 'before' | 'after',
): ReadonlySet<OperationId> {
  const seen = new Set<OperationId>();
  const waiting = [from];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop())
    for (const edge of edges.get(id) ?? [])
      if (!seen.has(edge[end])) {
        seen.add(edge[end]);
        waiting.push(edge[end]);
      }
  return seen;
}

/** Operations that wait for each other in a ring, in order, or undefined where there is no ring. */
export function findLoop(ids: Iterable<OperationId>, { outOf }: PrecedenceGraph): readonly OperationId[] | undefined {
  const state = new Map<OperationId, 'on the way' | 'clear'>();
  for (const root of ids) {
    if (state.has(root)) continue;
    const path: { id: OperationId; edge: number }[] = [{ id: root, edge: 0 }];
    state.set(root, 'on the way');
    for (let top = path.at(-1); top; top = path.at(-1)) {
      const next = outOf.get(top.id)?.[top.edge++]?.after;
      if (next === undefined) {
        state.set(top.id, 'clear');
        path.pop();
      } else if (state.get(next) === 'on the way') {
        return path.slice(path.findIndex(({ id }) => id === next)).map(({ id }) => id);
      } else if (!state.has(next)) {
        state.set(next, 'on the way');
        path.push({ id: next, edge: 0 });
      }
    }
  }
  return undefined;
}
