import {
  connectionsById,
  crossing,
  lumpOf,
  lumpOfPlan,
  MapError,
  needsOf,
  partsById,
  reachOf,
  routeOf,
  type Access,
  type CircuitId,
  type ConditionId,
  type Connection,
  type ConnectionId,
  type JobPlan,
  type PartId,
} from '../connection-map/index.js';

/** What has to be undone to get a powerpack out, each with the first reason found for it. */
export interface Requirements {
  /** The parts that leave as one lump, before anything is taken off it. */
  readonly lump: ReadonlySet<PartId>;
  readonly opened: ReadonlyMap<ConnectionId, string>;
  readonly removed: ReadonlyMap<PartId, string>;
  readonly conditions: ReadonlyMap<ConditionId, string>;
  readonly drained: ReadonlyMap<CircuitId, string>;
  /** Units that another one takes the place of, and what is renewed, where anything was decided. */
  readonly replaced?: ReadonlySet<PartId>;
  readonly renewed?: ReadonlySet<string>;
  /** For each removed part, the connections that must be open before it can be lifted away. */
  readonly holdsPart: ReadonlyMap<PartId, readonly Connection[]>;
}

/**
 * Works out what `plan` makes necessary: every connection with exactly one end in the powerpack, whatever blocks the
 * route, and whatever access to those needs, to any depth. Throws {@link MapError} for a name the map does not know.
 */
export function requirementsOf(plan: JobPlan): Requirements {
  const { map } = plan;
  const route = routeOf(plan);
  const parts = partsById(map);
  const connections = connectionsById(map);
  const conditionSpecs = new Map(map.conditions.map((condition) => [condition.id, condition]));
  const circuitSpecs = new Map(map.circuits.map((circuit) => [circuit.id, circuit]));

  const lump = lumpOfPlan(plan);
  const opened = new Map<ConnectionId, string>();
  const removed = new Map<PartId, string>();
  const conditions = new Map<ConditionId, string>();
  const drained = new Map<CircuitId, string>();
  const holdsPart = new Map<PartId, readonly Connection[]>();
  const waiting: (() => void)[] = [];

  const known = <T>(found: T | undefined, id: string): T => {
    if (found === undefined) throw new MapError(`The map speaks of “${id}”, which is not on it.`);
    return found;
  };

  function open(id: ConnectionId, why: string) {
    if (opened.has(id)) return;
    const connection = known(connections.get(id), id);
    opened.set(id, why);
    waiting.push(() => {
      for (const need of needsOf(map, route, connection)) bringAbout(need, connection.name);
      reach(connection.access);
      if (connection.circuit !== undefined) drain(connection.circuit, connection.name);
    });
  }
  function remove(id: PartId, why: string) {
    if (removed.has(id)) return;
    const part = known(parts.get(id), id);
    removed.set(id, why);
    const held = crossing(map.connections, lumpOf(map, [id]));
    holdsPart.set(id, held);
    waiting.push(() => {
      for (const { id: connection } of held) open(connection, `It holds the ${part.name}, which has to come off.`);
    });
  }
  function bringAbout(id: ConditionId, forWhat: string) {
    if (conditions.has(id)) return;
    const condition = known(conditionSpecs.get(id), id);
    conditions.set(id, `${sentence(forWhat)} needs it.`);
    waiting.push(() => {
      if (condition.established.by === 'connection')
        open(condition.established.connection, `${condition.name}: ${forWhat} needs it.`);
      else reach(condition.established.access);
    });
  }
  function drain(id: CircuitId, forWhat: string) {
    if (drained.has(id)) return;
    const circuit = known(circuitSpecs.get(id), id);
    drained.set(id, `Opening ${forWhat} lets the ${circuit.fluid} out.`);
    waiting.push(() => {
      for (const need of [...circuit.drain.needs, ...reachOf(map, circuit.drain)])
        bringAbout(need, `draining the ${circuit.name.toLowerCase()}`);
      reach(circuit.drain.access);
    });
  }
  function reach(access: readonly Access[]) {
    for (const need of access) {
      if (need.orderOnly) continue;
      if ('open' in need) open(need.open, need.why);
      else remove(need.removed, need.why);
    }
  }

  for (const { id } of crossing(map.connections, lump)) open(id, 'It ties the powerpack to what stays.');
  for (const { connection, why } of route.opensToo ?? []) open(connection, why);
  for (const { part, why } of route.blockedBy) remove(part, why);
  for (const part of plan.practice?.offFirst ?? [])
    remove(part, 'The crew takes it off before the lift: lighter, and fewer things that catch.');
  for (const support of route.supports) bringAbout(support, 'lifting');
  for (let next = waiting.pop(); next; next = waiting.pop()) next();

  return { lump, opened, removed, conditions, drained, holdsPart };
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
