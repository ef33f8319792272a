import {
  CyclicMapError,
  connectionsById,
  crossing,
  needsOf,
  partsById,
  planHeldTo,
  reachOf,
  routeOf,
  type Access,
  type ConnectionMap,
  type HoldPointId,
  type JobPlan,
  type Part,
  type PartId,
  type StepSpec,
} from '../connection-map/index.js';
import { choreEdges, choreOperation, choresFor, deedsOut } from './chores.js';
import {
  openingTitle,
  operationId,
  type Operation,
  type OperationId,
  type Precedence,
  type Reason,
} from './operation.js';
import { ancestorsOf, descendantsOf, findLoop, precedenceGraph } from './precedence-graph.js';
import { requirementsOf, type Requirements } from './requirements.js';
import { hangingParts, type Hanging } from './runs.js';

/** The way out: operations of stripping and lifting, what must come before what, and why each is there at all. */
export interface Teardown extends Requirements {
  readonly operations: readonly Operation[];
  readonly precedence: readonly Precedence[];
  /** Why an operation is in the plan, by operation. */
  readonly because: ReadonlyMap<OperationId, string>;
  /** Heavy parts, and the fastener of each that is undone last. */
  readonly hanging: readonly Hanging[];
}

/** The step at which `holdPoint` of `map` is signed. */
export function holdPointOperation(
  map: ConnectionMap,
  holdPoint: HoldPointId,
  phase: Operation['phase'],
  step: Pick<StepSpec, 'station' | 'height' | 'cautions'>,
): Operation {
  return {
    id: operationId.hold(holdPoint),
    phase,
    kind: 'hold-point',
    holdPoint,
    title: `Sign: ${map.holdPoints.find(({ id }) => id === holdPoint)?.name ?? holdPoint}`,
    hands: 1,
    tools: [],
    minutes: { low: 2, likely: 4, high: 10 },
    ...step,
  };
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
  refuseLoops(operations, basic, map);
  const { hanging, edges } = planHeldTo(plan, 3)
    ? hangingParts(map, partsIn(map, required.removed.keys()), operations, basic)
    : { hanging: [], edges: [] };
  const inHand = [
    ...basic,
    ...edges,
    ...(planHeldTo(plan, 3) ? openBayEdges(map, required, operations, [...basic, ...edges]) : []),
  ];
  const withLoad = [...inHand, ...loadPathEdges(map, required, operations, inHand)];
  const precedence = [...withLoad, ...holdPointEdges(plan, required, operations, withLoad)];
  const because = new Map([
    ...reasonsToExist(map, required),
    ...chores.map(({ id, why }) => [operationId.chore(id), why] as const),
  ]);
  return { ...required, operations, precedence, hanging, because };
}

/** The parts called `ids`, in their order. */
function partsIn(map: ConnectionMap, ids: Iterable<PartId>): readonly Part[] {
  const parts = partsById(map);
  return [...ids].flatMap((id) => parts.get(id) ?? []);
}

/** The operation that brings `condition` about: a step of its own, or opening the connection that does it. */
function establishing(map: ConnectionMap, condition: string): OperationId {
  const spec = map.conditions.find(({ id }) => id === condition);
  return spec?.established.by === 'connection'
    ? operationId.open(spec.established.connection)
    : operationId.establish(condition);
}

function stripOperations(plan: JobPlan, required: Requirements): readonly Operation[] {
  const { map } = plan;
  const parts = partsById(map);
  const makeSafe = new Set(
    map.conditions.flatMap(({ makeSafe, established }) =>
      makeSafe && established.by === 'connection' ? [established.connection] : [],
    ),
  );
  const conditions = map.conditions
    .filter(({ id }) => required.conditions.has(id))
    .flatMap((condition): Operation[] =>
      condition.established.by === 'step'
        ? [
            {
              ...condition.established.step,
              id: operationId.establish(condition.id),
              phase: 'strip',
              kind: condition.takesLoad ? 'support' : 'make-safe',
              condition: condition.id,
            },
          ]
        : [],
    );
  const drains = map.circuits
    .filter(({ id }) => required.drained.has(id))
    .map(({ id, drain: { needs: _needs, access: _access, ...step } }): Operation => ({
      ...step,
      id: operationId.drain(id),
      phase: 'strip',
      kind: 'drain',
      circuit: id,
    }));
  const opens = map.connections
    .filter(({ id }) => required.opened.has(id))
    .map((connection): Operation => ({
      id: operationId.open(connection.id),
      phase: 'strip',
      kind: makeSafe.has(connection.id) ? 'make-safe' : 'disconnect',
      connection: connection.id,
      title: openingTitle(connection),
      station: connection.station,
      height: connection.height,
      hands: connection.hands,
      tools: connection.tools,
      minutes: connection.minutes,
      cautions: connection.cautions,
      ...(connection.moves ? { moves: connection.moves } : {}),
      ...(connection.tip === undefined ? {} : { tip: connection.tip }),
    }));
  const removals = [...required.removed.keys()].flatMap((id): Operation[] => {
    const removal = parts.get(id)?.removal;
    return removal ? [{ ...removal, id: operationId.remove(id), phase: 'strip', kind: 'remove', part: id }] : [];
  });
  const madeSafe = holdPointOperation(map, 'made-safe', 'strip', {
    station: reachOf(map, { station: 'bay-top' }).length > 0 ? 'front' : 'bay-top',
    // Chocks and brakes are looked at before it leaves its wheels.
    height: planHeldTo(plan, 3) ? 'ground' : 'either',
    cautions: ['battery', 'fuel'],
  });
  return [...conditions, madeSafe, ...drains, ...opens, ...removals];
}

function liftOperations(plan: JobPlan): readonly Operation[] {
  const route = routeOf(plan);
  const preLift = holdPointOperation(plan.map, 'pre-lift', 'lift', {
    station: route.liftSteps[0]?.station ?? 'front',
    height: route.liftSteps[0]?.height ?? 'ground',
    cautions: ['under-load'],
  });
  return [
    preLift,
    ...route.liftSteps.map(({ id, ...step }): Operation => ({
      ...step,
      id: operationId.lift(id),
      phase: 'lift',
      kind: 'lift',
    })),
  ];
}

function accessEdges(map: ConnectionMap, required: Requirements): readonly Precedence[] {
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

function partEdges(map: ConnectionMap, required: Requirements): readonly Precedence[] {
  const parts = partsById(map);
  return [...required.holdsPart].flatMap(([part, held]) =>
    held.map(({ id, name }): Precedence => ({
      before: operationId.open(id),
      after: operationId.remove(part),
      reason: { kind: 'part', words: `The ${parts.get(part)?.name ?? part} hangs on ${name} until that is open.` },
    })),
  );
}

function conditionEdges(plan: JobPlan, required: Requirements): readonly Precedence[] {
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
function openBayEdges(
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

/** Everything that carries no load before the hoist takes the weight, and that before the last mounts. */
function loadPathEdges(
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
  for (const taker of takers)
    addBefore(taker, {
      kind: 'safety',
      words: 'The weight is taken only when all else is off, so nobody works long under lifting gear.',
    });
  for (const mount of mounts)
    addBefore(mount, { kind: 'load path', words: 'It carries the weight, so it comes last of all.' });
  return edges;
}

function holdPointEdges(
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

function reasonsToExist(map: ConnectionMap, required: Requirements): ReadonlyMap<OperationId, string> {
  return new Map<OperationId, string>([
    ...[...required.opened].map(([id, why]) => [operationId.open(id), why] as const),
    ...[...required.removed].map(([id, why]) => [operationId.remove(id), why] as const),
    ...[...required.drained].map(([id, why]) => [operationId.drain(id), why] as const),
    ...[...required.conditions].map(([id, why]) => [establishing(map, id), why] as const),
  ]);
}

/** Throws {@link CyclicMapError} where operations wait for each other. */
export function refuseLoops(
  operations: readonly Operation[],
  precedence: readonly Precedence[],
  map: ConnectionMap,
): void {
  const loop = findLoop(
    operations.map(({ id }) => id),
    precedenceGraph(precedence),
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
