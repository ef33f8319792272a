import { leavesBy, lumpOf, partsById, takesItsWeight } from './graph.js';
import type { Connection } from './connection.js';
import type { ConnectionMap } from './map.js';
import type { Access, StepSpec, ThreePointMinutes } from './step.js';

/** One thing wrong with a map: where it is and what is wrong, in words. */
export interface MapProblem {
  readonly at: string;
  readonly words: string;
}

/** Every mount is weighed against every other, and no machine hangs on more. */
const MOST_MOUNTS = 40;

/**
 * Everything in `map` that would make a plan wrong: unknown names, doubled ids, parts nothing holds, loads on
 * unsupported mounts, minutes out of order. Empty when the map can be worked with; loops are found by the teardown.
 */
export function problemsOf(map: ConnectionMap): readonly MapProblem[] {
  const problems: MapProblem[] = [];
  const say = (at: string, words: string) => problems.push({ at, words });
  const parts = partsById(map);
  const connectionIds = new Set(map.connections.map(({ id }) => id));
  const conditionIds = new Set(map.conditions.map(({ id }) => id));
  const circuitIds = new Set(map.circuits.map(({ id }) => id));

  for (const [what, ids] of [
    ['part', map.parts.map(({ id }) => id)],
    ['connection', map.connections.map(({ id }) => id)],
    ['condition', map.conditions.map(({ id }) => id)],
    ['circuit', map.circuits.map(({ id }) => id)],
    ['chore', (map.chores ?? []).map(({ id }) => id)],
  ] as const) {
    for (const id of new Set(ids.filter((id, index) => ids.indexOf(id) !== index)))
      say(id, `There are two ${what}s called “${id}”.`);
  }

  const checkAccess = (at: string, access: readonly Access[]) => {
    for (const need of access) {
      if ('open' in need && !connectionIds.has(need.open))
        say(at, `It waits for a connection “${need.open}” that is not on the map.`);
      if ('removed' in need) {
        const part = parts.get(need.removed);
        if (!part) say(at, `It waits for a part “${need.removed}” that is not on the map.`);
        else if (!part.removal) say(at, `It waits for the ${part.name} to come off, and nothing says how it does.`);
      }
    }
  };
  const checkMinutes = (at: string, { low, likely, high }: ThreePointMinutes) => {
    if (!(low > 0 && low <= likely && likely <= high))
      say(at, `Its minutes are ${low}, ${likely}, ${high}; low, likely and high must rise from above nought.`);
  };
  const checkStep = (at: string, step: StepSpec) => checkMinutes(at, step.minutes);

  const held = new Set(map.connections.flatMap(({ between }) => between));
  for (const part of map.parts) {
    if (part.id !== map.body && !held.has(part.id)) say(part.id, `Nothing holds the ${part.name}.`);
    if (part.ridesWith !== undefined && !parts.has(part.ridesWith))
      say(part.id, `It rides with “${part.ridesWith}”, which is not on the map.`);
    if (part.removal) checkStep(part.id, part.removal);
  }
  if (!parts.has(map.body)) say(map.body, 'The body is not among the parts.');

  const mounts = map.connections.filter(({ carriesLoad }) => carriesLoad).length;
  if (mounts > MOST_MOUNTS)
    say(map.layout, `${mounts} connections carry load; more than ${MOST_MOUNTS} cannot be right.`);
  for (const connection of map.connections) checkConnection(connection);
  function checkConnection(connection: Connection) {
    const { id, between } = connection;
    for (const end of between) if (!parts.has(end)) say(id, `One end is at “${end}”, which is not on the map.`);
    if (between[0] === between[1]) say(id, 'Both ends are at the same part.');
    for (const need of connection.needs)
      if (!conditionIds.has(need)) say(id, `It needs a condition “${need}” that is not on the map.`);
    if (connection.circuit !== undefined && !circuitIds.has(connection.circuit))
      say(id, `It opens a circuit “${connection.circuit}” that is not on the map.`);
    if (
      connection.carriesLoad &&
      !takesItsWeight(map, connection.needs) &&
      !map.routes.every(({ supports }) => takesItsWeight(map, supports))
    )
      say(id, 'It carries load, and nothing says what takes the weight before it is opened.');
    checkAccess(id, connection.access);
    checkMinutes(id, connection.minutes);
    checkMinutes(id, connection.refit.minutes);
    for (const { connection: other } of connection.refit.torque?.after ?? [])
      if (!connectionIds.has(other)) say(id, `Its torque waits for “${other}”, which is not on the map.`);
  }

  for (const condition of map.conditions) {
    if (condition.established.by === 'connection') {
      if (!connectionIds.has(condition.established.connection))
        say(condition.id, `It comes about by opening “${condition.established.connection}”, which is not on the map.`);
    } else {
      checkAccess(condition.id, condition.established.access);
      checkStep(condition.id, condition.established.step);
    }
  }
  for (const circuit of map.circuits) {
    checkAccess(circuit.id, circuit.drain.access);
    for (const need of circuit.drain.needs)
      if (!conditionIds.has(need)) say(circuit.id, `Draining needs a condition “${need}” that is not on the map.`);
    if (circuit.drainsL > circuit.capacityL)
      say(circuit.id, `It drains ${circuit.drainsL} l but holds only ${circuit.capacityL} l.`);
  }
  for (const chore of map.chores ?? []) checkStep(chore.id, chore);
  for (const route of map.routes) {
    for (const { part } of route.blockedBy)
      if (!parts.get(part)?.removal) say(route.id, `“${part}” is in the way, and nothing says how it comes off.`);
    for (const { connection } of route.opensToo ?? [])
      if (!connectionIds.has(connection)) say(route.id, `It opens “${connection}”, which is not on the map.`);
    for (const powerpack of route.powerpacks ?? [])
      if (!map.powerpacks.some(({ id }) => id === powerpack))
        say(route.id, `It is for a powerpack “${powerpack}” that is not on the map.`);
    for (const support of route.supports)
      if (!conditionIds.has(support)) say(route.id, `It needs a condition “${support}” that is not on the map.`);
  }
  for (const powerpack of map.powerpacks) {
    for (const root of powerpack.roots) if (!parts.has(root)) say(powerpack.id, `“${root}” is not on the map.`);
    if (!map.routes.some((route) => leavesBy(route, powerpack.id)))
      say(powerpack.id, `No route lets the ${powerpack.name.toLowerCase()} out.`);
    if (lumpOf(map, powerpack.roots).has(map.body)) say(powerpack.id, 'The body itself would come out with it.');
  }
  return problems;
}
