import { lumpOf, type ConnectionMap, type PartId, type System } from '../connection-map/index.js';
import type { Operation, OperationId, Precedence } from '../teardown/index.js';

/** In what order a crew likes to strip. */
export const ORDER_SCHOOLS = ['quickest', 'by-system', 'outside-in', 'by-position'] as const;
export type OrderSchool = (typeof ORDER_SCHOOLS)[number];

/** When a crew likes to open the fuel lines. */
export const FUEL_SCHOOLS = ['any-time', 'early', 'last'] as const;
export type FuelSchool = (typeof FUEL_SCHOOLS)[number];

/** A crew’s school of order. */
export interface School {
  readonly order: OrderSchool;
  readonly fuel: FuelSchool;
}

export const NO_SCHOOL: School = { order: 'quickest', fuel: 'any-time' };

/** Fluids come first; then systems in the order many crews go through them. */
const SYSTEM_STAGES: Readonly<Record<System, number>> = {
  body: 1,
  cooling: 2,
  heating: 2,
  refrigerant: 2,
  air: 3,
  electrics: 4,
  fuel: 5,
  exhaust: 6,
  steering: 7,
  driveline: 8,
  mounts: 9,
};

/**
 * The stage of each operation by the crew’s `school`: stages follow each other. Edges stand above any school: what has
 * to come before something of an early stage is drawn into that stage, and what has to wait for a fuel line that is left
 * for last waits with it. `lump`: the parts that leave.
 */
export function stagesOf(
  { order, fuel }: School,
  operations: readonly Operation[],
  precedence: readonly Precedence[],
  map: ConnectionMap,
  lump: ReadonlySet<PartId>,
): ReadonlyMap<OperationId, number> {
  const among = new Set(operations.map(({ id }) => id));
  const edges = precedence.filter(({ before, after }) => among.has(before) && among.has(after));
  const liked = likedStages(order, operations, map, lump);
  const own = drawnEarlier(operations, edges, liked);
  if (fuel === 'any-time') return own;
  const lines = new Set(operations.filter((operation) => isFuel(operation, map)).map(({ id }) => id));
  // Early: the lines and all they wait for. Last: the lines and all that waits for them.
  const closed = closure(lines, edges, fuel === 'early' ? 'before' : 'after');
  const step = 1_000;
  return new Map(
    operations.map(({ id }) => {
      const pulled = fuel === 'early' ? (closed.has(id) ? 0 : step) : closed.has(id) ? step : 0;
      return [id, pulled + Math.min(own.get(id) ?? 0, step - 1)];
    }),
  );
}

const NEVER = 900;

function likedStages(
  order: OrderSchool,
  operations: readonly Operation[],
  map: ConnectionMap,
  lump: ReadonlySet<PartId>,
): ReadonlyMap<OperationId, number> {
  const connections = new Map(map.connections.map((connection) => [connection.id, connection]));
  const parts = new Map(map.parts.map((part) => [part.id, part]));
  const depth = order === 'outside-in' ? depths(map, lump) : new Map<PartId, number>();
  const stageOf = (operation: Operation): number => {
    const { kind, connection, part, station } = operation;
    if (!['drain', 'disconnect', 'remove'].includes(kind)) return NEVER;
    switch (order) {
      case 'quickest':
        return 0;
      case 'by-position':
        return station === 'underside' || station.startsWith('wheel') ? 1 : 0;
      case 'by-system': {
        if (kind === 'drain') return 0;
        const system = connections.get(connection ?? '')?.system ?? parts.get(part ?? '')?.system;
        return system === undefined ? NEVER : SYSTEM_STAGES[system];
      }
      case 'outside-in': {
        if (kind === 'drain') return 1;
        const ends = connections.get(connection ?? '')?.between ?? (part === undefined ? [] : [part]);
        const nearest = Math.min(...ends.filter((end) => end !== map.body).map((end) => depth.get(end) ?? FARTHEST));
        const frontFirst = station === 'front' ? 0 : station === 'bay-top' ? 1 : 2;
        return (FARTHEST - Math.min(nearest, FARTHEST)) * 3 + frontFirst;
      }
    }
  };
  if (order === 'quickest') return new Map();
  return new Map(operations.map((operation) => [operation.id, stageOf(operation)]));
}

const FARTHEST = 4;

/** How many joints lie between each part and the powerpack, not counting ways over the body. */
function depths(map: ConnectionMap, lump: ReadonlySet<PartId>): ReadonlyMap<PartId, number> {
  const depth = new Map<PartId, number>([...lump].map((part) => [part, 0]));
  let edge = new Set(lump);
  for (let reached = 1; edge.size > 0; reached += 1) {
    const next = new Set<PartId>();
    for (const { between } of map.connections)
      for (const [one, other] of [between, [between[1], between[0]] as const])
        if (edge.has(one) && other !== map.body && !depth.has(other)) {
          for (const rider of lumpOf(map, [other])) if (!depth.has(rider)) next.add(rider);
        }
    for (const part of next) depth.set(part, reached);
    edge = next;
  }
  return depth;
}

/** Each stage no later than that of whatever waits: so no stage goes against an edge. */
function drawnEarlier(
  operations: readonly Operation[],
  edges: readonly Precedence[],
  liked: ReadonlyMap<OperationId, number>,
): Map<OperationId, number> {
  const waiting = new Map<OperationId, OperationId[]>();
  for (const { before, after } of edges) waiting.set(before, [...(waiting.get(before) ?? []), after]);
  const stages = new Map<OperationId, number>();
  const stageOf = (id: OperationId): number => {
    const known = stages.get(id);
    if (known !== undefined) return known;
    let stage = liked.get(id) ?? 0;
    for (const after of waiting.get(id) ?? []) stage = Math.min(stage, stageOf(after));
    stages.set(id, stage);
    return stage;
  };
  for (const { id } of operations) stageOf(id);
  return stages;
}

function isFuel({ kind, connection, circuit }: Operation, map: ConnectionMap): boolean {
  if (kind === 'drain') return /fuel|petrol|diesel/i.test(map.circuits.find(({ id }) => id === circuit)?.fluid ?? '');
  if (kind !== 'disconnect') return false;
  const spec = map.connections.find(({ id }) => id === connection);
  return spec?.system === 'fuel' && (spec.kind === 'hose' || spec.kind === 'pipe');
}

function closure(
  from: ReadonlySet<OperationId>,
  edges: readonly Precedence[],
  towards: 'before' | 'after',
): ReadonlySet<OperationId> {
  const next = new Map<OperationId, OperationId[]>();
  for (const { before, after } of edges) {
    const [one, other] = towards === 'after' ? [before, after] : [after, before];
    next.set(one, [...(next.get(one) ?? []), other]);
  }
  const seen = new Set(from);
  const waiting = [...from];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop())
    for (const other of next.get(id) ?? []) {
      if (seen.has(other)) continue;
      seen.add(other);
      waiting.push(other);
    }
  return seen;
}
