import {
  crossing,
  needsOf,
  partsById,
  reachOf,
  routeOf,
  type Access,
  type ConnectionMap,
  type JobPlan,
  type Part,
  type PartId,
} from '../connection-map/index.js';
import { operationId, type Operation, type OperationId, type Precedence, type Reason } from './operation.js';
import { ancestorsOf, descendantsOf, precedenceGraph } from './precedence-graph.js';
import { type Requirements } from './requirements.js';

/** The parts called `ids`, in their order. */
export function partsIn(map: ConnectionMap, ids: Iterable<PartId>): readonly Part[] {
  const parts = partsById(map);
  return [...ids].flatMap((id) => parts.get(id) ?? []);
}

/** The operation that brings `condition` about: a step of its own, or opening the connection that does it. */
export function establishing(map: ConnectionMap, condition: string): OperationId {
  const spec = map.conditions.find(({ id }) => id === condition);
  return spec?.established.by === 'connection'
    ? operationId.open(spec.established.connection)
    : operationId.establish(condition);
}

/** What is in the way of a fastener is off before it: by every connection opened, and every part taken off. */
export function accessEdges(map: ConnectionMap, required: Requirements): readonly Precedence[] {
  const edge =
    (after: OperationId) =>
    (need: Access): Precedence => ({
      before: 'open' in need ? operationId.open(need.open) : operationId.remove(need.removed),
      after,
      reason: { kind: need.because ?? 'access', words: need.why },
      told: true,
      ...(need.firstBackToo ? { firstBackToo: true } : {}),
    });
  const happens = (need: Access) =>
    need.orderOnly !== true || ('open' in need ? required.opened.has(need.open) : required.removed.has(need.removed));
  const reach = (access: readonly Access[], after: OperationId) => access.filter(happens).map(edge(after));
  return [
    ...map.connections
      .filter(({ id }) => required.opened.has(id))
      .flatMap(({ id, access }) => reach(access, operationId.open(id))),
    ...map.conditions
      .filter(({ id }) => required.conditions.has(id))
      .flatMap(({ id, established }) =>
        established.by === 'step' ? reach(established.access, operationId.establish(id)) : [],
      ),
    ...map.circuits
      .filter(({ id }) => required.drained.has(id))
      .flatMap(({ id, drain }) => reach(drain.access, operationId.drain(id))),
  ];
}

/** A part comes off once all that holds it is open. */
export function partEdges(map: ConnectionMap, required: Requirements): readonly Precedence[] {
  const parts = partsById(map);
  return [...required.holdsPart].flatMap(([part, held]) =>
    held.map(({ id, name }): Precedence => ({
      before: operationId.open(id),
      after: operationId.remove(part),
      reason: { kind: 'part', words: `The ${parts.get(part)?.name ?? part} hangs on ${name} until that is open.` },
    })),
  );
}

/** What has to be so for a step is brought about before it, and what would run out is drained. */
export function conditionEdges(plan: JobPlan, required: Requirements): readonly Precedence[] {
  const { map } = plan;
  const route = routeOf(plan);
  const named = new Map(map.conditions.map(({ id, name }) => [id, name]));
  const needed = (condition: string, after: OperationId): readonly Precedence[] => {
    const before = establishing(map, condition);
    if (before === after) return [];
    return [
      { before, after, reason: { kind: 'condition', words: `${named.get(condition) ?? condition} comes first.` } },
    ];
  };
  return [
    ...map.connections
      .filter(({ id }) => required.opened.has(id))
      .flatMap((connection) => [
        ...needsOf(map, route, connection).flatMap((need) => needed(need, operationId.open(connection.id))),
        ...map.circuits
          .filter((spec) => spec.id === connection.circuit)
          .map((spec): Precedence => ({
            before: operationId.drain(spec.id),
            after: operationId.open(connection.id),
            reason: { kind: 'condition', words: `${spec.name} drained first, or the ${spec.fluid} runs over you.` },
          })),
      ]),
    ...map.circuits
      .filter(({ id }) => required.drained.has(id))
      .flatMap(({ id, drain }) =>
        [...drain.needs, ...reachOf(map, drain)].flatMap((need) => needed(need, operationId.drain(id))),
      ),
  ];
}

/** What closes the bay from above is off before anybody works in it: nobody’s head is under a bonnet that is being undone. */
export function openBayEdges(
  map: ConnectionMap,
  required: Requirements,
  operations: readonly Operation[],
  basic: readonly Precedence[],
): readonly Precedence[] {
  const covers = partsIn(map, required.removed.keys()).filter(({ coversBay }) => coversBay);
  const safe = new Set(map.conditions.filter(({ makeSafe }) => makeSafe).map(({ id }) => establishing(map, id)));
  return covers.flatMap(({ id, name, removal }): readonly Precedence[] => {
    const off = operationId.remove(id);
    const first = ancestorsOf(off, precedenceGraph(basic));
    return operations
      .filter(
        (one) =>
          one.phase === 'strip' &&
          one.kind !== 'hold-point' &&
          one.kind !== 'wait' &&
          ['bay-top', removal?.station].includes(one.station) &&
          one.id !== off &&
          !first.has(one.id) &&
          !safe.has(one.id),
      )
      .map((one) => ({
        before: off,
        after: one.id,
        reason: { kind: 'safety', words: `The ${name} is off before anybody works under it.` },
        told: true,
      }));
  });
}

/**
 * While it cools nobody is at what is hot, or beneath it: the exhaust, what the exhaust is bolted to, whatever scalds. `basic`
 * tells what comes before it is made safe, and before the cooling itself.
 */
export function coolingEdges(
  { map }: JobPlan,
  operations: readonly Operation[],
  basic: readonly Precedence[],
): readonly Precedence[] {
  const cooling = operations.filter(({ kind, cautions }) => kind === 'wait' && cautions.includes('hot-metal'));
  const roots = new Set([map.body, ...map.powerpacks.flatMap(({ roots: own }) => own)]);
  const hot = new Set(
    map.connections
      .filter(({ system, kind }) => system === 'exhaust' && kind !== 'plug')
      .flatMap(({ between }) => between.filter((part) => !roots.has(part))),
  );
  const joints = new Map(map.connections.map((connection) => [connection.id, connection]));
  const isHot = ({ station, cautions, part, connection }: Operation) =>
    station === 'underside' ||
    cautions.includes('hot-metal') ||
    cautions.includes('hot-coolant') ||
    hot.has(part ?? '') ||
    (joints.get(connection ?? '')?.between ?? []).some((end) => hot.has(end));
  const graph = precedenceGraph(basic);
  return cooling.flatMap(({ id }) => {
    const first = ancestorsOf(id, graph);
    return operations
      .filter((one) => one.phase === 'strip' && one.kind !== 'wait' && one.kind !== 'hold-point' && isHot(one))
      .filter((one) => !first.has(one.id))
      .map((one): Precedence => ({
        before: id,
        after: one.id,
        reason: { kind: 'safety', words: 'Nobody works at what is hot, or lies under it: it cools first.' },
      }));
  });
}

/** Nobody is left in a cab that is tilted: what is done inside is done before. */
export function emptyCabEdges(map: ConnectionMap, required: Requirements, operations: readonly Operation[]) {
  return map.conditions
    .filter(({ id, givesReach = [] }) => givesReach.length > 0 && required.conditions.has(id))
    .flatMap(({ id, name }) =>
      operations
        .filter(({ phase, station }) => phase === 'strip' && station === 'cabin')
        .map((one): Precedence => ({
          before: one.id,
          after: establishing(map, id),
          reason: { kind: 'safety', words: `${name}: nobody is inside any more.` },
        })),
    );
}

/** Everything that carries no load before the hoist takes the weight, and that before the last mounts. */
export function loadPathEdges(
  map: ConnectionMap,
  required: Requirements,
  operations: readonly Operation[],
  basic: readonly Precedence[],
): readonly Precedence[] {
  const takers = map.conditions
    .filter(({ id, takesLoad }) => takesLoad && required.conditions.has(id))
    .map(({ id }) => establishing(map, id));
  const mounts = map.connections
    .filter(({ id, carriesLoad }) => carriesLoad && required.opened.has(id))
    .map(({ id }) => operationId.open(id));
  const late = new Set([...takers, ...mounts]);
  const ordinary = operations
    .filter(({ id, phase, kind }) => phase === 'strip' && kind !== 'hold-point' && !late.has(id))
    .map(({ id }) => id);

  const edges: Precedence[] = [];
  const addBefore = (last: OperationId, reason: Reason) => {
    const afterIt = descendantsOf(last, precedenceGraph([...basic, ...edges]));
    for (const before of ordinary) if (!afterIt.has(before)) edges.push({ before, after: last, reason });
  };
  const ready = operationId.hold('pre-weight');
  if (operations.some(({ id }) => id === ready)) {
    for (const after of late)
      edges.push({
        before: ready,
        after,
        reason: { kind: 'hold point', words: 'Gear, slings and stands are looked at before anything hangs on them.' },
      });
    addBefore(ready, { kind: 'safety', words: 'Signed when all else is off: gear is looked at before it carries.' });
  }
  for (const taker of takers)
    addBefore(taker, {
      kind: 'safety',
      words: 'The weight is taken only when all else is off, so nobody works long under lifting gear.',
    });
  for (const mount of mounts)
    addBefore(mount, { kind: 'load path', words: 'It carries the weight, so it comes last of all.' });
  return edges;
}

/** A hold point comes after all that it is signed for, and before all that waits for the signature. */
export function holdPointEdges(
  plan: JobPlan,
  required: Requirements,
  operations: readonly Operation[],
  soFar: readonly Precedence[],
): readonly Precedence[] {
  const { map } = plan;
  const edges: Precedence[] = [];
  const madeSafe = operationId.hold('made-safe');
  for (const { id, name, makeSafe } of map.conditions)
    if (makeSafe && required.conditions.has(id))
      edges.push({
        before: establishing(map, id),
        after: madeSafe,
        reason: { kind: 'safety', words: `${name} before anybody signs that the machine is made safe.` },
      });
  const leadsToSafe = ancestorsOf(madeSafe, precedenceGraph([...soFar, ...edges]));
  const strip = operations.filter(({ phase, id }) => phase === 'strip' && id !== madeSafe);
  for (const { id } of strip)
    if (!leadsToSafe.has(id))
      edges.push({
        before: madeSafe,
        after: id,
        reason: { kind: 'hold point', words: 'Made safe and signed before other work begins.' },
      });

  const preLift = operationId.hold('pre-lift');
  const boundary = new Set(crossing(map.connections, required.lump).map(({ id }) => id));
  for (const { id, connection } of strip)
    edges.push({
      before: id,
      after: preLift,
      reason: {
        kind: 'hold point',
        words:
          connection !== undefined && boundary.has(connection)
            ? 'It still holds the powerpack.'
            : 'The strip has to be finished before the lift.',
      },
    });
  const chain = operations.filter(({ phase }) => phase === 'lift').map(({ id }) => id);
  chain.slice(1).forEach((after, index) => {
    const before = chain[index];
    if (before !== undefined)
      edges.push({
        before,
        after,
        reason:
          index === 0
            ? { kind: 'hold point', words: 'Nothing is lifted before the pre-lift hold point is signed.' }
            : { kind: 'sequence', words: 'Small steps, and a look all round after each.' },
      });
  });
  return edges;
}
