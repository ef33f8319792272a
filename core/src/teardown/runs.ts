import {
  crossing,
  lumpOf,
  planHeldTo,
  type Connection,
  type ConnectionMap,
  type JobPlan,
  type Part,
  type PartId,
  type StepSpec,
} from '../connection-map/index.js';
import { operationId, type Operation, type OperationId, type Precedence } from './operation.js';
import { descendantsOf, precedenceGraph } from './precedence-graph.js';
import type { Requirements } from './requirements.js';

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

/** From the eighth edition of the rules on nothing lies loose: what its last fastener lets go of comes away with it, however light. */
export const letGoOverKg = (plan: JobPlan): number => (planHeldTo(plan, 8) ? -1 : HEAVY_KG);

/** What holds a part to the last, the best first: what is bolted is held while the bolt comes out; a hose holds nothing. */
const HOLDS: readonly Connection['kind'][] = ['bolted', 'clamp', 'strap', 'shaft', 'clip', 'linkage'];

/**
 * For each part over `overKg`, {@link HEAVY_KG} where nothing is said, that is taken off, the connection that is undone last of those `opened` at it: one that
 * holds it where any does, reached as the machine stands when the part is lowered and best from the same place, that no
 * other of them waits for by `edges`.
 */
export function hangingParts(
  map: ConnectionMap,
  removed: readonly Part[],
  { opened }: Pick<Requirements, 'opened'>,
  edges: readonly Precedence[],
  overKg = HEAVY_KG,
): { readonly hanging: readonly Hanging[]; readonly edges: readonly Precedence[] } {
  const hanging: Hanging[] = [];
  const more: Precedence[] = [];
  const taken = new Set<string>();
  for (const part of removed) {
    const { removal } = part;
    const lump = lumpOf(map, [part.id]);
    if (massOf(map, lump) <= overKg || !removal) continue;
    const at = crossing(map.connections, lump).filter(({ id }) => opened.has(id));
    const holding = at.filter(({ kind }) => HOLDS.includes(kind));
    const graph = precedenceGraph([...edges, ...more]);
    const last = (holding.length > 0 ? holding : at)
      .filter(({ id, height }) => !taken.has(id) && together(height, removal.height))
      .sort((one, other) => rank(one, removal) - rank(other, removal))
      .find(({ id }) => {
        const behind = descendantsOf(operationId.open(id), graph);
        return at.every((other) => !behind.has(operationId.open(other.id)));
      });
    if (!last) continue;
    taken.add(last.id);
    const others = at.filter(({ id }) => id !== last.id);
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

function massOf(map: ConnectionMap, lump: ReadonlySet<PartId>): number {
  return map.parts.reduce((sum, { id, massKg = 0 }) => (lump.has(id) ? sum + massKg : sum), 0);
}

function together(one: Operation['height'], other: Operation['height']): boolean {
  return one === other || one === 'either' || other === 'either';
}

function rank({ kind, station }: Connection, removal: StepSpec): number {
  return HOLDS.indexOf(kind) + (station === removal.station ? 0 : HOLDS.length);
}
