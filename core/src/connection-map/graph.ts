import { MapError } from './errors.js';
import type { Connection, Part } from './connection.js';
import type { JobPlan } from './job-plan.js';
import type { ConnectionMap, Powerpack, Route } from './map.js';
import type { ConditionId, ConnectionId, PartId, StepSpec } from './step.js';

/** Parts of `map` by id. */
export function partsById(map: ConnectionMap): ReadonlyMap<PartId, Part> {
  return new Map(map.parts.map((part) => [part.id, part]));
}

/** Connections of `map` by id. */
export function connectionsById(map: ConnectionMap): ReadonlyMap<ConnectionId, Connection> {
  return new Map(map.connections.map((connection) => [connection.id, connection]));
}

/**
 * The parts that come away together when `roots` do: the roots and all that ride with them, to any depth, but for those
 * that `stay` and what rides with them.
 */
export function lumpOf(
  map: ConnectionMap,
  roots: readonly PartId[],
  stay: readonly PartId[] = [],
): ReadonlySet<PartId> {
  const riders = new Map<PartId, PartId[]>();
  for (const part of map.parts) {
    if (part.ridesWith === undefined) continue;
    riders.set(part.ridesWith, [...(riders.get(part.ridesWith) ?? []), part.id]);
  }
  const lump = new Set<PartId>();
  const waiting = [...roots];
  for (let part = waiting.pop(); part !== undefined; part = waiting.pop()) {
    if (lump.has(part) || stay.includes(part)) continue;
    lump.add(part);
    waiting.push(...(riders.get(part) ?? []));
  }
  return lump;
}

/** Connections with exactly one end in `lump`. */
export function crossing(connections: readonly Connection[], lump: ReadonlySet<PartId>): readonly Connection[] {
  return connections.filter(({ between: [one, other] }) => lump.has(one) !== lump.has(other));
}

/**
 * Parts that can still be reached from `from` over `closed` connections without passing through `barrier`.
 * Says whether something that hangs on the powerpack is itself still fast to the body.
 */
export function reachable(
  from: PartId,
  closed: readonly Connection[],
  barrier: ReadonlySet<PartId>,
): ReadonlySet<PartId> {
  const neighbours = new Map<PartId, PartId[]>();
  for (const { between } of closed) {
    const [one, other] = between;
    if (barrier.has(one) || barrier.has(other)) continue;
    neighbours.set(one, [...(neighbours.get(one) ?? []), other]);
    neighbours.set(other, [...(neighbours.get(other) ?? []), one]);
  }
  const seen = new Set<PartId>([from]);
  const waiting = [from];
  for (let part = waiting.pop(); part !== undefined; part = waiting.pop()) {
    for (const next of neighbours.get(part) ?? []) {
      if (seen.has(next)) continue;
      seen.add(next);
      waiting.push(next);
    }
  }
  return seen;
}

/** The powerpack a plan names. Throws {@link MapError} where the map has none of that name. */
export function powerpackOf(plan: JobPlan): Powerpack {
  const powerpack = plan.map.powerpacks.find(({ id }) => id === plan.powerpack);
  if (!powerpack) throw new MapError(`This machine has no powerpack called “${plan.powerpack}”.`);
  return powerpack;
}

/** The parts that leave as one lump by `plan`, with what its crew takes along or leaves behind. */
export function lumpOfPlan(plan: JobPlan): ReadonlySet<PartId> {
  const { along = [], stays = [] } = plan.practice ?? {};
  return lumpOf(plan.map, [...powerpackOf(plan).roots, ...along], stays);
}

/** The route a plan names. Throws {@link MapError} where the map has none of that name. */
export function routeOf(plan: JobPlan): Route {
  const route = plan.map.routes.find(({ id }) => id === plan.route);
  if (!route) throw new MapError(`This machine has no route called “${plan.route}”.`);
  if (!leavesBy(route, plan.powerpack))
    throw new MapError(`${powerpackOf(plan).name} does not leave by the route “${route.name}”.`);
  return route;
}

/** Whether the powerpack called `powerpack` can leave by `route`. */
export function leavesBy(route: Route, powerpack: string): boolean {
  return route.powerpacks === undefined || route.powerpacks.includes(powerpack);
}

/** A powerpack, and a route it can leave by. */
export interface Way {
  readonly powerpack: Powerpack;
  readonly route: Route;
}

/** Every powerpack of `map` with every route it can leave by. */
export function waysOut(map: ConnectionMap): readonly Way[] {
  return map.powerpacks.flatMap((powerpack) =>
    map.routes.filter((route) => leavesBy(route, powerpack.id)).map((route) => ({ powerpack, route })),
  );
}

/**
 * What must be in force before `connection` is opened: its own needs, and, where it carries load and does not say
 * itself what takes the weight, whatever `route` takes it with.
 */
export function needsOf(map: ConnectionMap, route: Route, connection: Connection): readonly ConditionId[] {
  const { carriesLoad } = connection;
  const needs = [...connection.needs, ...reachOf(map, connection).filter((id) => !connection.needs.includes(id))];
  if (!carriesLoad || takesItsWeight(map, needs)) return needs;
  return [...needs, ...route.supports.filter((support) => !needs.includes(support))];
}

/** The conditions that have to be in force for anybody to work where a step is done. */
export function reachOf({ conditions }: ConnectionMap, { station }: Pick<StepSpec, 'station'>): readonly ConditionId[] {
  return conditions.filter(({ givesReach }) => givesReach?.includes(station)).map(({ id }) => id);
}

/** Whether one of `conditions` takes the load. */
export function takesItsWeight(map: ConnectionMap, conditions: readonly ConditionId[]): boolean {
  return map.conditions.some(({ id, takesLoad }) => takesLoad && conditions.includes(id));
}
