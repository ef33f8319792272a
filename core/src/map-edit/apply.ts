import {
  MapError,
  type Access,
  type Connection,
  type ConnectionId,
  type ConnectionMap,
  type Deed,
  type Part,
  type PartId,
} from '../connection-map/index.js';

/** Fields of a thing that may be absent. */
type Leavable<Thing> = { [Key in keyof Thing]-?: undefined extends Thing[Key] ? Key : never }[keyof Thing];

/** What becomes of a thing: fields that are something else from now on, and fields that are emptied. */
interface Changed<Thing> {
  readonly change: Partial<Omit<Thing, 'id'>>;
  readonly emptied?: readonly Leavable<Thing>[];
}

/** One change to a map. */
export type MapEdit =
  | { readonly kind: 'add-part'; readonly part: Part }
  | ({ readonly kind: 'change-part'; readonly id: PartId } & Changed<Part>)
  | { readonly kind: 'remove-part'; readonly id: PartId }
  /** Part of a part becomes a part of its own: `part` takes over `connections`, and `joint` ties it to the old one. */
  | {
      readonly kind: 'split-part';
      readonly id: PartId;
      readonly part: Part;
      readonly connections: readonly ConnectionId[];
      readonly joint: Connection;
    }
  | { readonly kind: 'add-connection'; readonly connection: Connection }
  | ({ readonly kind: 'change-connection'; readonly id: ConnectionId } & Changed<Connection>)
  | { readonly kind: 'remove-connection'; readonly id: ConnectionId }
  /** One connection turns out to be two: `second` stands beside it, and `fasteners` stay with the first. */
  | {
      readonly kind: 'split-connection';
      readonly id: ConnectionId;
      readonly second: Connection;
      readonly fasteners: Connection['fasteners'];
    }
  /** Several changes that are one to the person who made them. */
  | { readonly kind: 'together'; readonly edits: readonly MapEdit[] };

/** `map` after `edit`. Throws {@link MapError} for something that is not there, or is there already. */
export function applyEdit(map: ConnectionMap, edit: MapEdit): ConnectionMap {
  switch (edit.kind) {
    case 'add-part':
      refuseTwice(map.parts, edit.part.id, edit.part.name);
      return { ...map, parts: [...map.parts, edit.part] };
    case 'change-part':
      return { ...map, parts: changed<Part>(map.parts, edit.id, edit, 'part') };
    case 'remove-part':
      return withoutPart(map, edit.id);
    case 'split-part': {
      const { id, part, connections, joint } = edit;
      const moved = new Set(connections);
      known(map.parts, id, 'part');
      refuseTwice(map.parts, part.id, part.name);
      refuseTwice(map.connections, joint.id, joint.name);
      return {
        ...map,
        parts: [...map.parts, part],
        connections: [
          ...map.connections.map((connection) =>
            moved.has(connection.id)
              ? { ...connection, between: moveEnd(connection.between, id, part.id) }
              : connection,
          ),
          joint,
        ],
      };
    }
    case 'add-connection':
      refuseTwice(map.connections, edit.connection.id, edit.connection.name);
      return { ...map, connections: [...map.connections, edit.connection] };
    case 'change-connection':
      return { ...map, connections: changed<Connection>(map.connections, edit.id, edit, 'connection') };
    case 'remove-connection':
      known(map.connections, edit.id, 'connection');
      return withoutConnections(map, new Set([edit.id]));
    case 'split-connection': {
      const { id, second, fasteners } = edit;
      refuseTwice(map.connections, second.id, second.name);
      const at = map.connections.findIndex(
        (connection) => connection.id === known(map.connections, id, 'connection').id,
      );
      return {
        ...map,
        connections: changed<Connection>(map.connections, id, { change: { fasteners } }, 'connection').toSpliced(
          at + 1,
          0,
          second,
        ),
      };
    }
    case 'together':
      return edit.edits.reduce(applyEdit, map);
  }
}

interface Named {
  readonly id: string;
  readonly name: string;
}

function known<Thing extends Named>(things: readonly Thing[], id: string, what: string): Thing {
  const thing = things.find((one) => one.id === id);
  if (!thing) throw new MapError(`There is no ${what} “${id}” on the map.`);
  return thing;
}

function refuseTwice(things: readonly Named[], id: string, name: string): void {
  if (things.some((one) => one.id === id)) throw new MapError(`“${name}” is on the map already (${id}).`);
}

function changed<Thing extends Named>(
  things: readonly Thing[],
  id: string,
  { change, emptied = [] }: Changed<Thing>,
  what: string,
): readonly Thing[] {
  known(things, id, what);
  const gone = new Set<PropertyKey>(emptied);
  return things.map((thing) =>
    thing.id === id ? without({ ...thing, ...change }, (key, value) => gone.has(key) || value === undefined) : thing,
  );
}

/** `thing` less its fields that are `gone`. */
function without<Thing extends object>(thing: Thing, gone: (key: string, value: unknown) => boolean): Thing {
  return Object.fromEntries(Object.entries(thing).filter(([key, value]) => !gone(key, value))) as Thing;
}

function moveEnd([one, other]: Connection['between'], from: PartId, to: PartId): Connection['between'] {
  return [one === from ? to : one, other === from ? to : other];
}

function withoutPart(map: ConnectionMap, id: PartId): ConnectionMap {
  const part = known(map.parts, id, 'part');
  if (id === map.body) throw new MapError(`The ${part.name} is what everything hangs on; it stays.`);
  const root = map.powerpacks.find(({ roots }) => roots.includes(id));
  if (root) throw new MapError(`The ${part.name} is what comes out as “${root.name}”; it stays.`);
  const gone = new Set(
    map.connections.filter(({ between }) => between.includes(id)).map((connection) => connection.id),
  );
  const rest = withoutConnections(map, gone);
  const past = (access: readonly Access[]) => access.filter((need) => !('removed' in need && need.removed === id));
  return {
    ...rest,
    parts: rest.parts
      .filter((one) => one.id !== id)
      .map(({ ridesWith, ...one }) => (ridesWith === undefined || ridesWith === id ? one : { ...one, ridesWith })),
    ...reaching(rest, past),
    ...choresWithout(rest, (deed) => 'part' in deed && deed.part === id),
    routes: rest.routes.map((route) => ({ ...route, blockedBy: route.blockedBy.filter((block) => block.part !== id) })),
  };
}

function withoutConnections(map: ConnectionMap, gone: ReadonlySet<ConnectionId>): ConnectionMap {
  for (const { established, name } of map.conditions)
    if (established.by === 'connection' && gone.has(established.connection))
      throw new MapError(`“${name}” comes about by opening it; it stays.`);
  const past = (access: readonly Access[]) => access.filter((need) => !('open' in need && gone.has(need.open)));
  const kept = { ...map, connections: map.connections.filter(({ id }) => !gone.has(id)) };
  const { connections, ...rest } = reaching(kept, past);
  return {
    ...kept,
    ...rest,
    ...choresWithout(map, (deed) => 'connection' in deed && gone.has(deed.connection)),
    connections: connections.map((connection) => {
      const { torque } = connection.refit;
      if (!torque?.after?.some((other) => gone.has(other.connection))) return connection;
      return {
        ...connection,
        refit: {
          ...connection.refit,
          torque: { ...torque, after: torque.after.filter((other) => !gone.has(other.connection)) },
        },
      };
    }),
    routes: map.routes.map((route) =>
      route.opensToo ? { ...route, opensToo: route.opensToo.filter(({ connection }) => !gone.has(connection)) } : route,
    ),
  };
}

/** Chores of `map` that no longer come before or after what is `gone`; those that then serve nothing fall away. */
function choresWithout({ chores }: ConnectionMap, gone: (deed: Deed) => boolean): Pick<ConnectionMap, 'chores'> {
  if (!chores) return {};
  const left = (deeds: readonly Deed[]) => deeds.filter((deed) => !gone(deed));
  const kept = chores
    .map((chore) => ({ ...chore, after: left(chore.after), before: left(chore.before) }))
    .filter(({ before }) => before.length > 0);
  return { chores: kept };
}

/** Connections, conditions and circuits of `map` with every access list run through `past`. */
function reaching(map: ConnectionMap, past: (access: readonly Access[]) => readonly Access[]) {
  return {
    connections: map.connections.map((connection) => ({ ...connection, access: past(connection.access) })),
    conditions: map.conditions.map((condition) =>
      condition.established.by === 'step'
        ? { ...condition, established: { ...condition.established, access: past(condition.established.access) } }
        : condition,
    ),
    circuits: map.circuits.map((circuit) => ({
      ...circuit,
      drain: { ...circuit.drain, access: past(circuit.drain.access) },
    })),
  };
}
