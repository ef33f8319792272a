import {
  CyclicMapError,
  connectionsById,
  planHeldTo,
  type ConnectionMap,
  type JobPlan,
} from '../connection-map/index.js';
import { choreEdges, choreOperation, choresFor, deedsOut } from './chores.js';
import { operationId, type Operation, type OperationId, type Precedence } from './operation.js';
import { findLoop, precedenceGraph, type PrecedenceGraph } from './precedence-graph.js';
import { requirementsOf, type Requirements } from './requirements.js';
import { hangingParts, letGoOverKg, type Hanging } from './runs.js';
import {
  accessEdges,
  conditionEdges,
  coolingEdges,
  emptyCabEdges,
  establishing,
  holdPointEdges,
  loadPathEdges,
  openBayEdges,
  partEdges,
  partsIn,
} from './order-out.js';
import { liftOperations, stripOperations } from './steps-out.js';

/** The way out: operations of stripping and lifting, what must come before what, and why each is there at all. */
export interface Teardown extends Requirements {
  readonly operations: readonly Operation[];
  readonly precedence: readonly Precedence[];
  /** Why an operation is in the plan, by operation. */
  readonly because: ReadonlyMap<OperationId, string>;
  /** Heavy parts, and the fastener of each that is undone last. */
  readonly hanging: readonly Hanging[];
}

/**
 * Derives the way out from a job plan. Every edge of `precedence` carries its reason in words. Throws
 * {@link CyclicMapError}, naming the connections, where steps wait for each other, and `MapError` for unknown names.
 */
export function teardownOf(plan: JobPlan): Teardown {
  const { map } = plan;
  const required = requirementsOf(plan);
  const work = [...stripOperations(plan, required), ...liftOperations(plan)];
  const steps = deedsOut(new Set(work.map(({ id }) => id)), (condition) => establishing(map, condition));
  const chores = choresFor(plan, required, 'out', steps);
  const operations = [...chores.map(choreOperation), ...work];
  const basic = [
    ...accessEdges(map, required),
    ...partEdges(map, required),
    ...conditionEdges(plan, required),
    ...choreEdges(chores, steps),
  ];
  refuseLoops(operations, precedenceGraph(basic), map);
  const { hanging, edges } = planHeldTo(plan, 3)
    ? hangingParts(map, partsIn(map, required.removed.keys()), required, basic, letGoOverKg(plan))
    : { hanging: [], edges: [] };
  const inHand = [
    ...basic,
    ...edges,
    ...(planHeldTo(plan, 3) ? openBayEdges(map, required, operations, [...basic, ...edges]) : []),
    ...(planHeldTo(plan, 8)
      ? [...coolingEdges(plan, operations, [...basic, ...edges]), ...emptyCabEdges(map, required, operations)]
      : []),
  ];
  const withLoad = [...inHand, ...loadPathEdges(map, required, operations, inHand)];
  const precedence = [...withLoad, ...holdPointEdges(plan, required, operations, withLoad)];
  const because = new Map([
    ...reasonsToExist(map, required),
    ...chores.map(({ id, why }) => [operationId.chore(id), why] as const),
  ]);
  return { ...required, operations, precedence, hanging, because };
}

function reasonsToExist(map: ConnectionMap, required: Requirements): ReadonlyMap<OperationId, string> {
  return new Map<OperationId, string>([
    ...[...required.opened].map(([id, why]) => [operationId.open(id), why] as const),
    ...[...required.removed].map(([id, why]) => [operationId.remove(id), why] as const),
    ...[...required.drained].map(([id, why]) => [operationId.drain(id), why] as const),
    ...[...required.conditions].map(([id, why]) => [establishing(map, id), why] as const),
  ]);
}

/** Throws {@link CyclicMapError} where operations wait for each other. */
export function refuseLoops(operations: readonly Operation[], graph: PrecedenceGraph, map: ConnectionMap): void {
  const loop = findLoop(
    operations.map(({ id }) => id),
    graph,
  );
  if (!loop) return;
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const connections = connectionsById(map);
  const inLoop = loop.flatMap((id) => byId.get(id)?.connection ?? []);
  throw new CyclicMapError(
    [...new Set(inLoop)],
    loop.map((id) => {
      const operation = byId.get(id);
      return connections.get(operation?.connection ?? '')?.name ?? operation?.title ?? id;
    }),
  );
}
