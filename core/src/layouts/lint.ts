import {
  CyclicMapError,
  RULES_NOW,
  crossing,
  lumpOf,
  problemsOf,
  waysOut,
  type Access,
  type Connection,
  type ConnectionMap,
  type Deed,
  type MapProblem,
  type Way,
} from '../connection-map/index.js';
import { findLoop, operationId, precedenceGraph, type Reason } from '../teardown/index.js';
import { facesOf, partedUnits } from '../refit/index.js';
import { workOf } from '../work/index.js';
import type { Template } from './template.js';

/**
 * What is wrong with a composed map, over `ways` (every powerpack by every route): what `problemsOf` finds, a loop, a connection that can never be reached, a part nothing attaches, two connections nobody could tell apart,
 * a circuit that cannot be drained or filled, an opened connection with no way back or that nobody can describe, a lift
 * that leaves something fast.
 */
export function lintMap(map: ConnectionMap, ways: readonly Way[] = waysOut(map)): readonly MapProblem[] {
  const problems: MapProblem[] = [...problemsOf(map)];
  if (problems.length > 0) return problems;
  const say = (at: string, words: string) => problems.push({ at, words });
  for (const part of map.parts)
    if (part.id !== map.body && crossing(map.connections, lumpOf(map, [part.id])).length === 0)
      say(part.id, `Nothing attaches the ${part.name} to anything but what rides with it.`);
  const names = new Set<string>();
  for (const connection of map.connections) {
    const name = `${connection.kind} ${connection.name}`;
    if (names.has(name)) say(connection.id, `Another one is called “${connection.name}” as well.`);
    names.add(name);
    if (connection.kind === 'bolted' && connection.fasteners.length === 0)
      say(connection.id, `It is bolted, and no fastener is named.`);
    if (connection.kind === 'bolted' && connection.tools.length === 0)
      say(connection.id, 'It is bolted, and no tool is named.');
    for (const words of toolProblems(connection)) say(connection.id, words);
  }
  for (const words of gearProblems(map)) say(map.layout, words);
  const knot = knotIn(map);
  if (knot) say(knot[0] ?? map.layout, `It can never be reached: ${knot.join(' → ')} wait for each other.`);
  for (const { powerpack, route } of ways) {
    const at = `${powerpack.id} by ${route.id}`;
    if (route.opensToo) {
      const parted = new Set(route.opensToo.map(({ connection }) => connection));
      const [first = '', second = ''] = powerpack.roots;
      for (const { id, name } of tiesBetween(map, first, second))
        if (!parted.has(id)) say(at, `“${name}” ties what is parted under the machine, and is never opened.`);
    }
    const carriers = map.conditions.filter(({ id, takesLoad }) => takesLoad && route.supports.includes(id));
    try {
      const work = workOf({ map, powerpack: powerpack.id, route: route.id, rules: RULES_NOW });
      for (const { id } of work.boundary) {
        if (!work.operations.has(operationId.open(id))) say(at, `“${id}” ties the powerpack and is never opened.`);
      }
      for (const operation of work.operations.values()) {
        const { minutes, hands } = operation;
        const mount = work.connections.get(operation.connection ?? '');
        if (mount?.carriesLoad && operation.station === 'underside' && !carriers.some(({ fromBelow }) => fromBelow))
          say(at, `“${operation.title}” is done beneath what only hangs.`);
        if (
          !(minutes.low > 0 && minutes.low <= minutes.likely && minutes.likely <= minutes.high) ||
          (hands !== 1 && hands !== 2)
        )
          say(at, `“${operation.title}” has no sound minutes or hands.`);
        if (operation.id.startsWith('open:') && !work.operations.has(operationId.close(operation.connection ?? '')))
          say(at, `“${operation.title}” has no way back.`);
        if (operation.id.startsWith('remove:') && !work.operations.has(operationId.fit(operation.part ?? '')))
          say(at, `“${operation.title}” has no way back.`);
        if (operation.id.startsWith('drain:') && !work.operations.has(operationId.fill(operation.circuit ?? '')))
          say(at, `“${operation.title}” is never filled again.`);
      }
      for (const { id, name, established, endedBy } of map.conditions)
        if (established.by === 'step' && work.operations.has(operationId.establish(id)))
          if (![operationId.release(id), operationId.check(endedBy ?? '')].some((end) => work.operations.has(end)))
            say(at, `“${name}” is brought about and never ended again.`);
      const opened = [...work.operations.keys()].filter((id) => id.startsWith('open:')).length;
      if (opened === 0) say(at, 'Nothing has to be opened.');
      if (route.liftSteps.length === 0 || route.lowerSteps.length === 0)
        say(at, 'It says nothing of the way out or back.');
      if (route.supports.length === 0) say(at, 'Nothing takes the weight.');
      const parted = map.connections.filter(({ id }) => work.operations.get(operationId.open(id))?.phase === 'strip');
      if (facesOf(parted, partedUnits(map)).length > 0 && !route.lowerSteps.some(({ meets }) => meets === true))
        say(at, 'It parts two units, and does not say with which step their faces meet again.');
    } catch (error) {
      if (!(error instanceof CyclicMapError)) throw error;
      say(at, error.message);
    }
  }
  return problems;
}

/** What one person does not lift, and what a beam on the wings does not carry. */
const ONE_LIFTS_KG = 20;
const BEAM_CARRIES_KG = 400;

/** Parts too heavy for the hands named for them, and gear that is not made for what hangs on it. */
function gearProblems(map: ConnectionMap): readonly string[] {
  const massOf = (id: string) => {
    const lump = lumpOf(map, [id]);
    return map.parts.reduce((sum, part) => (lump.has(part.id) ? sum + (part.massKg ?? 0) : sum), 0);
  };
  const alone = map.parts.filter(
    ({ id, removal }) => removal?.hands === 1 && massOf(id) > ONE_LIFTS_KG && !/jack|hoist/.test(removal.tools.join()),
  );
  const beams = map.conditions.filter(
    ({ established }) => established.by === 'step' && established.step.tools.includes('engine beam'),
  );
  const engine = massOf('engine');
  return [
    ...alone.map(({ id, name }) => `The ${name} weighs ${massOf(id)} kg, and one person takes it out.`),
    ...(beams.length > 0 && engine > BEAM_CARRIES_KG ? [`A beam does not carry ${engine} kg.`] : []),
    ...map.conditions.flatMap(({ name, established }) =>
      established.by === 'step' && /rated for/i.test(established.step.tip ?? '')
        ? [`${name}: what it has to be rated for follows from the load, and its words say a figure of their own.`]
        : [],
    ),
  ];
}

/** What ties two units, and all that rides on them, to each other. */
function tiesBetween(map: ConnectionMap, one: string, other: string): readonly Connection[] {
  const [ones, others] = [lumpOf(map, [one]), lumpOf(map, [other])];
  return map.connections.filter(
    ({ between: [a, b] }) => (ones.has(a) && others.has(b)) || (ones.has(b) && others.has(a)),
  );
}

/** Heads of `connection` that no tool named for it fits, and bolts with a nut that nothing holds against turning. */
function toolProblems({ fasteners, tools }: Connection): readonly string[] {
  return fasteners.flatMap(({ what }): readonly string[] => {
    const size = /, (\d+ mm|M\d+ bit)|^(T\d+)|\b(T\d+)$/
      .exec(what)
      ?.slice(1)
      .find((one) => one !== undefined);
    if (size === undefined) return [];
    const fitting = tools.filter(
      (tool) => tool.includes(size) || (size.endsWith('bit') && tool.includes('multi-tooth bit')),
    );
    if (fitting.length === 0) return [`No tool named for it fits “${what}”.`];
    const turnsAlong = / × \d+/.test(what) && /\bnut\b/.test(what);
    return turnsAlong && fitting.length < 2 ? [`“${what}” turns with its nut, and one tool is named.`] : [];
  });
}

/** Connections and parts of the whole map that wait for each other, opened by some way out or not. */
function knotIn(map: ConnectionMap): readonly string[] | undefined {
  const parts = map.parts.filter(({ removal }) => removal);
  const reached = map.connections.flatMap(({ id, access }) =>
    access.map((need) => ({ before: 'open' in need ? need.open : `${need.removed} off`, after: id })),
  );
  const held = parts.flatMap(({ id }) =>
    crossing(map.connections, lumpOf(map, [id])).map((connection) => ({ before: connection.id, after: `${id} off` })),
  );
  const reason: Reason = { kind: 'access', words: '' };
  return findLoop(
    [...map.connections.map(({ id }) => id), ...parts.map(({ id }) => `${id} off`)],
    precedenceGraph([...reached, ...held].map((edge) => ({ ...edge, reason }))),
  );
}

/**
 * Names that `template` speaks of and nothing has: a misspelling would otherwise fall away unseen. What its shared pieces
 * speak of may be on another of `all`; what it says itself has to be its own.
 */
export function unknownNames(template: Template, all: readonly Template[]): readonly string[] {
  const own = namesOf([template]);
  const any = namesOf(all);
  const unknown: string[] = [];
  const expect = (known: ReadonlySet<string>, id: string, at: string) => {
    if (!known.has(id)) unknown.push(`${at}: ${id}`);
  };
  const reach = (access: readonly Access[], at: string) => {
    for (const need of access)
      if ('open' in need) expect(any.connections, need.open, at);
      else expect(any.parts, need.removed, at);
  };
  const deed = (one: Deed, at: string) => {
    if ('connection' in one) expect(any.connections, one.connection, at);
    else if ('part' in one) expect(any.parts, one.part, at);
    else if ('circuit' in one) expect(any.circuits, one.circuit, at);
    else if ('condition' in one) expect(any.conditions, one.condition, at);
    else if ('chore' in one) expect(any.chores, one.chore, at);
  };
  for (const { chores = [] } of template.pieces)
    for (const { id, after, before, where } of chores) {
      for (const one of [...after, ...before]) deed(one, id);
      for (const touched of where?.touches ?? []) expect(any.connections, touched, id);
    }
  for (const { id, where } of template.checks)
    for (const touched of where?.touches ?? []) expect(any.connections, touched, id);
  for (const { connections = [], circuits = [], conditions = [] } of template.pieces) {
    for (const connection of connections) {
      const { id, access, needs, circuit, refit, between } = { ...connection, ...template.changes?.[connection.id] };
      for (const end of between) expect(any.parts, end, id);
      reach(access, id);
      for (const need of needs) expect(any.conditions, need, id);
      if (circuit !== undefined) expect(any.circuits, circuit, id);
      for (const other of refit.torque?.after ?? []) expect(any.connections, other.connection, id);
    }
    for (const { id, drain } of circuits) {
      reach(drain.access, id);
      for (const need of drain.needs) expect(any.conditions, need, id);
    }
    for (const { id, established } of conditions)
      if (established.by === 'step') reach(established.access, id);
      else expect(any.connections, established.connection, id);
  }
  for (const { id, blockedBy, supports, opensToo } of template.routes) {
    for (const { part } of blockedBy) expect(own.parts, part, id);
    for (const support of supports) expect(own.conditions, support, id);
    for (const { connection } of opensToo ?? []) expect(own.connections, connection, id);
  }
  for (const { id, roots } of template.powerpacks) for (const root of roots) expect(own.parts, root, id);
  for (const id of template.without ?? [])
    if (!own.parts.has(id) && !own.chores.has(id)) expect(own.connections, id, 'without');
  for (const id of Object.keys(template.changes ?? {})) expect(own.connections, id, 'changes');
  for (const id of Object.keys(template.partChanges ?? {})) expect(own.parts, id, 'partChanges');
  return unknown;
}

function namesOf(templates: readonly Template[]) {
  const pieces = templates.flatMap((template) => template.pieces);
  const ids = (things: readonly { readonly id: string }[]) => new Set(things.map(({ id }) => id));
  return {
    parts: ids(pieces.flatMap(({ parts = [] }) => parts)),
    connections: ids(pieces.flatMap(({ connections = [] }) => connections)),
    conditions: ids(pieces.flatMap(({ conditions = [] }) => conditions)),
    circuits: ids(pieces.flatMap(({ circuits = [] }) => circuits)),
    chores: ids(pieces.flatMap(({ chores = [] }) => chores)),
  };
}
