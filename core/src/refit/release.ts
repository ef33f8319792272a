import {
  needsOf,
  planHeldTo,
  routeOf,
  type Connection,
  type ConnectionMap,
  type JobPlan,
} from '../connection-map/index.js';
import {
  ancestorsOf,
  descendantsOf,
  operationId,
  precedenceGraph,
  type Operation,
  type Precedence,
  type Teardown,
} from '../teardown/index.js';
import type { Stages } from './stages.js';

/** Hoist and jack stay until what needs them is finished. */
export function releaseEdges(
  plan: JobPlan,
  teardown: Teardown,
  operations: readonly Operation[],
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  const { map } = plan;
  const route = routeOf(plan);
  const ended = map.conditions.filter(({ id, released }) => released && teardown.conditions.has(id));
  return ended.flatMap(({ id, name, givesReach = [] }): readonly Precedence[] => [
    ...opened
      .filter(
        (connection) =>
          needsOf(map, route, connection).includes(id) || (connection.refit.supportedBy?.includes(id) ?? false),
      )
      .flatMap((connection): Precedence[] => {
        const last = stages.get(connection.id)?.last;
        return last === undefined
          ? []
          : [
              {
                before: last,
                after: operationId.release(id),
                reason: {
                  kind: 'safety',
                  words: `${name} stays in force until nothing is left to do at ${connection.name}.`,
                },
              },
            ];
      }),
    ...operations
      .filter(({ kind, station }) => ['fill', 'fit'].includes(kind) && givesReach.includes(station))
      .map((operation): Precedence => ({
        before: operation.id,
        after: operationId.release(id),
        reason: { kind: 'safety', words: `${name} stays in force until nobody works there any more.` },
      })),
  ]);
}

/** What is worked from a seat waits until one can sit in it, and until there is air where that does the work. */
export function seatEdges(plan: JobPlan, teardown: Teardown, operations: readonly Operation[]): readonly Precedence[] {
  if (!planHeldTo(plan, 8)) return [];
  return plan.map.conditions
    .filter(({ id, released }) => released && teardown.conditions.has(id))
    .flatMap(({ id, name, stops = [], givesReach = [] }) =>
      operations
        .filter(
          ({ phase, station, moves = [] }) =>
            phase === 'refit' &&
            (moves.some((moved) => stops.includes(moved)) || (givesReach.length > 0 && station === 'cabin')),
        )
        .map((one): Precedence => ({
          before: operationId.release(id),
          after: one.id,
          reason: { kind: 'safety', words: `${name}: from the seat nothing can be worked until that is over.` },
        })),
    );
}

/**
 * The powerpack sits on its mounts, and hoist and jack are away, before anything else goes back that can wait, and
 * before the machine is let down for anything done on its wheels.
 */
export function loadBackEdges(
  map: ConnectionMap,
  operations: readonly Operation[],
  soFar: readonly Precedence[],
): readonly Precedence[] {
  const graph = precedenceGraph(soFar);
  const takers = new Set(map.conditions.filter(({ takesLoad }) => takesLoad).map(({ id }) => operationId.release(id)));
  const releases = operations.filter(({ id }) => takers.has(id));
  const leadsToRelease = new Set(releases.flatMap(({ id }) => [id, ...ancestorsOf(id, graph)]));
  const down = new Set(
    operations.filter(({ kind }) => kind === 'lower').flatMap(({ id }) => [...descendantsOf(id, graph)]),
  );
  return operations
    .filter(({ id, height }) => (down.has(id) || height === 'ground') && !leadsToRelease.has(id))
    .flatMap(({ id }) =>
      releases.map((release): Precedence => ({
        before: release.id,
        after: id,
        reason: { kind: 'load path', words: 'The powerpack sits on its own mounts before anything else is connected.' },
      })),
    );
}

/** What was opened to make the machine safe goes back after all other refit work, but for what has to wait for it. */
export function batteryLast(
  map: ConnectionMap,
  operations: readonly Operation[],
  soFar: readonly Precedence[],
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  return map.conditions.flatMap(({ name, established, makeSafe }) => {
    const own = makeSafe && established.by === 'connection' ? stages.get(established.connection) : undefined;
    if (!own) return [];
    const graph = precedenceGraph(soFar);
    const told = (graph.into.get(own.first) ?? []).map(({ before }) => before);
    const settled = new Set([...told, own.first, ...descendantsOf(own.first, graph)]);
    return operations
      .filter(({ id }) => !settled.has(id))
      .map(({ id }): Precedence => ({
        before: id,
        after: own.first,
        reason: { kind: 'safety', words: `${name} until all other work is done: it goes back last.` },
      }));
  });
}
