import type { Connection, ConnectionMap, PartId } from '../connection-map/index.js';
import {
  ancestorsOf,
  descendantsOf,
  type OperationId,
  type Precedence,
  type PrecedenceGraph,
} from '../teardown/index.js';
import type { Stages } from './stages.js';

/** Engine and gearbox, which are parted and brought together again: the roots of the smallest powerpack of `map` that has several. */
export function partedUnits({ powerpacks }: ConnectionMap): ReadonlySet<PartId> {
  const [smallest] = powerpacks
    .map(({ roots }) => roots)
    .filter(({ length }) => length > 1)
    .sort((one, other) => one.length - other.length);
  return new Set(smallest);
}

/** Those of `joints` that hold the faces of two `units` to each other. A clip or a single screw holds none. */
export function facesOf(joints: readonly Connection[], units: ReadonlySet<PartId>): readonly Connection[] {
  return joints.filter(
    ({ kind, between, fasteners }) =>
      kind === 'bolted' &&
      between.every((part) => units.has(part)) &&
      fasteners.reduce((sum, { count }) => sum + count, 0) > 1,
  );
}

/** The first bolts that go into `faces` once they have met: those that wait for no other of them in `graph`. */
export function firstBolts(
  faces: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
  graph: PrecedenceGraph,
): OperationId | undefined {
  const firsts = faces.flatMap(({ id }) => stages.get(id)?.first ?? []);
  return firsts.find((id) => {
    const before = ancestorsOf(id, graph);
    return firsts.every((other) => !before.has(other));
  });
}

/** All that the first `bolts` wait for in `graph` is done by the time the faces meet with the step `meets`. */
export function readyToMeet(meets: OperationId, bolts: OperationId, graph: PrecedenceGraph): readonly Precedence[] {
  const later = descendantsOf(meets, graph);
  return (graph.into.get(bolts) ?? []).flatMap(({ before, reason }) =>
    before === meets || later.has(before) ? [] : [{ before, after: meets, reason }],
  );
}
