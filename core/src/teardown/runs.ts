import { crossing, lumpOf, type Connection, type ConnectionMap, type Part } from '../connection-map/index.js';
import { operationId, type Operation, type OperationId, type Precedence } from './operation.js';
import { descendantsOf, precedenceGraph } from './precedence-graph.js';

/** Two steps that are one job: the same people go straight on from `first` to `then`, and nothing comes between. */
export interface Run {
  readonly first: OperationId;
  readonly then: OperationId;
}

/** The last fastener of a heavy part, and the part. */
export interface Hanging {
  readonly part: Part;
  readonly last: Connection;
  /** The others that hold it. */
  readonly others: readonly Connection[];
}

/** What is let down by hand, and not by letting go, in kg. */
export const HEAVY_KG = 4;

/** How well each kind holds a part to the last: what is bolted is held while the bolt comes out; a hose holds nothing. */
const HOLDS: readonly Connection['kind'][] = ['bolted', 'clamp', 'strap', 'shaft', 'clip', 'linkage'];

/**
 * For each part over {@link HEAVY_KG} that is taken off, the connection that is undone last of those that hold it: one
 * that holds well, reached from where the part is lowered, that no other of them waits for by `edges`.
 */
export function hangingParts(
  map: ConnectionMap,
  removed: readonly Part[],
  operations: readonly Operation[],
  edges: readonly Precedence[],
): { readonly hanging: readonly Hanging[]; readonly edges: readonly Precedence[] } {
  const there = new Map(operations.map((operation) => [operation.id, operation]));
  const hanging: Hanging[] = [];
  const more: Precedence[] = [];
  const taken = new Set<string>();
  for (const part of removed) {
    if (massOf(map, part) <= HEAVY_KG || !part.removal) continue;
    const holders = crossing(map.connections, lumpOf(map, [part.id])).filter(({ id }) =>
      there.has(operationId.open(id)),
    );
    const graph = precedenceGraph([...edges, ...more]);
    const last = [...holders]
      .filter(({ id, height }) => !taken.has(id) && together(height, part.removal?.height ?? 'either'))
      .sort((one, other) => rank(one, part) - rank(other, part))
      .find(({ id }) => {
        const behind = descendantsOf(operationId.open(id), graph);
        return holders.every((other) => !behind.has(operationId.open(other.id)));
      });
    if (!last) continue;
    taken.add(last.id);
    const others = holders.filter(({ id }) => id !== last.id);
    hanging.push({ part, last, others });
    for (const { id } of others)
      more.push({
        before: operationId.open(id),
        after: operationId.open(last.id),
        reason: {
          kind: 'sequence',
          words: `With ${last.name} undone the ${part.name} is in somebody’s hands, so all else is off it before.`,
        },
      });
  }
  return { hanging, edges: more };
}

function massOf(map: ConnectionMap, part: Part): number {
  const lump = lumpOf(map, [part.id]);
  return map.parts.reduce((sum, { id, massKg = 0 }) => (lump.has(id) ? sum + massKg : sum), 0);
}

function together(one: Operation['height'], other: Operation['height']): boolean {
  return one === other || one === 'either' || other === 'either';
}

function rank({ kind, station }: Connection, { removal }: Part): number {
  const holds = HOLDS.indexOf(kind);
  return (holds < 0 ? HOLDS.length : holds) + (station === removal?.station ? 0 : HOLDS.length + 1);
}
