import {
  crossing,
  partsById,
  routeOf,
  type CheckStep,
  type Connection,
  type ConnectionMap,
  type JobPlan,
} from '../connection-map/index.js';
import {
  ancestorsOf,
  closingTitle,
  descendantsOf,
  holdPointOperation,
  operationId,
  precedenceGraph,
  type Operation,
  type OperationId,
  type Precedence,
  type Reason,
  type Teardown,
} from '../teardown/index.js';

/** The way back: operations from lowering to handover and what must come before what. */
export interface Refit {
  readonly operations: readonly Operation[];
  readonly precedence: readonly Precedence[];
}

/** Where a connection's way back begins and ends: started by hand, closed, at final torque. */
interface Stages {
  readonly first: OperationId;
  readonly close: OperationId;
  readonly last: OperationId;
}

/**
 * Derives the way back from the way out. Access edges are turned round (what was uncovered first is covered last),
 * what must be in before lowering waits on the near side of the pre-lower hold point, mounts are all started by hand
 * before any is seated and all seated before any has its final torque, circuits are filled when their last joint is
 * closed, and what isolated the battery goes back last.
 */
export function refitOf(plan: JobPlan, teardown: Teardown): Refit {
  const { map } = plan;
  const opened = map.connections.filter(({ id }) => teardown.opened.has(id));
  const operations = [
    ...lowerOperations(plan),
    ...fitOperations(map, teardown),
    ...opened.flatMap(connectionOperations),
    ...fillOperations(map, teardown),
    ...releaseOperations(map, teardown),
  ];
  const stages = new Map(opened.map((connection) => [connection.id, stagesOf(connection)]));
  const checks = checkOperations(map);
  const refitOnly = [
    ...stageEdges(opened, stages),
    ...reversedEdges(map, teardown, stages),
    ...mountEdges(opened, stages),
    ...lowerEdges(plan, teardown, opened, stages),
    ...releaseEdges(map, teardown, opened, stages),
    ...groundEdges(map, operations),
  ];
  const withLoad = [...refitOnly, ...loadBackEdges(map, operations, refitOnly)];
  const precedence = [
    ...withLoad,
    ...batteryLast(map, operations, withLoad, stages),
    ...startEdges(operations, checks),
  ];
  return { operations: [...operations, ...checks], precedence };
}

function stagesOf({ id, carriesLoad, refit }: Connection): Stages {
  const close = operationId.close(id);
  return {
    first: carriesLoad ? operationId.start(id) : close,
    close,
    last: refit.torque ? operationId.torque(id) : close,
  };
}

function lowerOperations(plan: JobPlan): readonly Operation[] {
  const { lowerSteps } = routeOf(plan);
  return [
    holdPointOperation(plan.map, 'pre-lower', 'refit', {
      station: lowerSteps[0]?.station ?? 'front',
      height: lowerSteps[0]?.height ?? 'ground',
      cautions: ['under-load'],
    }),
    ...lowerSteps.map(({ id, ...step }): Operation => ({
      ...step,
      id: operationId.lower(id),
      phase: 'refit',
      kind: 'lower',
    })),
  ];
}

function fitOperations(map: ConnectionMap, teardown: Teardown): readonly Operation[] {
  const parts = partsById(map);
  return [...teardown.removed.keys()].flatMap((id): Operation[] => {
    const part = parts.get(id);
    if (!part?.removal) return [];
    return [
      {
        ...part.removal,
        id: operationId.fit(id),
        phase: 'refit',
        kind: 'fit',
        part: id,
        title: `Set the ${part.name} in place`,
      },
    ];
  });
}

function connectionOperations(connection: Connection): readonly Operation[] {
  const { id, name, station, height, hands, tools, cautions, refit } = connection;
  const common = { phase: 'refit' as const, connection: id, station, height, tools, cautions };
  const operations: Operation[] = [];
  if (connection.carriesLoad)
    operations.push({
      ...common,
      id: operationId.start(id),
      kind: 'start-by-hand',
      title: `Start ${name} by fingers, every one`,
      hands,
      tools: [],
      minutes: { low: 2, likely: 5, high: 15 },
    });
  operations.push({
    ...common,
    id: operationId.close(id),
    kind: 'connect',
    title: connection.carriesLoad ? `Seat ${name}` : closingTitle(connection),
    hands,
    minutes: refit.minutes,
    ...(refit.note === undefined ? {} : { tip: refit.note }),
  });
  if (refit.torque)
    operations.push({
      ...common,
      id: operationId.torque(id),
      kind: 'torque',
      title: `Torque ${name}`,
      hands: 1,
      tools: ['torque wrench'],
      minutes: { low: 1, likely: 2, high: 5 },
    });
  return operations;
}

function fillOperations(map: ConnectionMap, teardown: Teardown): readonly Operation[] {
  return map.circuits
    .filter(({ id }) => teardown.drained.has(id))
    .map(({ id, fill }): Operation => ({
      ...fill,
      id: operationId.fill(id),
      phase: 'refit',
      kind: 'fill',
      circuit: id,
    }));
}

function releaseOperations(map: ConnectionMap, teardown: Teardown): readonly Operation[] {
  return map.conditions.flatMap(({ id, released }): Operation[] =>
    released && teardown.conditions.has(id)
      ? [{ ...released, id: operationId.release(id), phase: 'refit', kind: 'release', condition: id }]
      : [],
  );
}

function checkOperations(map: ConnectionMap): readonly Operation[] {
  const check = ({ id, when, ...step }: CheckStep): Operation => ({
    ...step,
    id: operationId.check(id),
    phase: when === 'handover' ? 'handover' : 'first-start',
    kind: 'check',
    needsRunning: when !== 'before-start',
  });
  const order = ['before-start', 'after-start', 'handover'] as const;
  const preStart = holdPointOperation(map, 'pre-start', 'first-start', {
    station: 'bay-top',
    height: 'ground',
    cautions: ['fuel', 'exhaust-gas'],
  });
  return [preStart, ...order.flatMap((when) => map.checks.filter((step) => step.when === when).map(check))];
}

function stageEdges(opened: readonly Connection[], stages: ReadonlyMap<string, Stages>): readonly Precedence[] {
  const byHand: Reason = { kind: 'sequence', words: 'Fingers before tools, or a thread is crossed.' };
  const seated: Reason = { kind: 'sequence', words: 'Seated before its final torque.' };
  return opened.flatMap(({ id, refit }) => {
    const own = stages.get(id);
    if (!own) return [];
    const edges: Precedence[] = [];
    if (own.first !== own.close) edges.push({ before: own.first, after: own.close, reason: byHand });
    if (own.last !== own.close) edges.push({ before: own.close, after: own.last, reason: seated });
    for (const { connection, why } of refit.torque?.after ?? []) {
      const other = stages.get(connection);
      if (other) edges.push({ before: other.last, after: own.last, reason: { kind: 'load path', words: why } });
    }
    return edges;
  });
}

/** The teardown's access, condition and part edges, walked the other way. */
function reversedEdges(
  map: ConnectionMap,
  teardown: Teardown,
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  const wayBack = new Map<OperationId, { first: OperationId; last: OperationId }>();
  for (const [id, { first, last }] of stages) wayBack.set(operationId.open(id), { first, last });
  for (const id of teardown.removed.keys())
    wayBack.set(operationId.remove(id), { first: operationId.fit(id), last: operationId.fit(id) });
  for (const { id } of map.circuits)
    if (teardown.drained.has(id))
      wayBack.set(operationId.drain(id), { first: operationId.fill(id), last: operationId.fill(id) });

  const mounts = new Set(
    map.connections.filter(({ carriesLoad }) => carriesLoad).map(({ id }) => operationId.open(id)),
  );
  const title = new Map(teardown.operations.map((operation) => [operation.id, operation.title]));
  return teardown.precedence.flatMap(({ before, after, reason }): Precedence[] => {
    const then = wayBack.get(before);
    const first = wayBack.get(after);
    if (!then || !first || !['access', 'condition', 'part'].includes(reason.kind)) return [];
    // Mounts are tightened together, so between two of them only the starting by hand is turned round.
    const bothMounts = mounts.has(before) && mounts.has(after);
    return [
      {
        before: bothMounts ? first.first : first.last,
        after: then.first,
        reason: { kind: reason.kind, words: turned(before, reason) },
      },
    ];
  });

  function turned(before: OperationId, reason: Reason): string {
    if (before.startsWith('drain:')) return 'Filled when every joint of the circuit is closed.';
    if (reason.kind === 'condition') return `${title.get(before) ?? before} was done before it; it goes back after it.`;
    if (reason.kind === 'part') return 'The part is in its place before it is fastened.';
    return `Later it cannot be reached. On the way out: ${reason.words}`;
  }
}

function mountEdges(opened: readonly Connection[], stages: ReadonlyMap<string, Stages>): readonly Precedence[] {
  const mounts = opened.filter(({ carriesLoad }) => carriesLoad).flatMap(({ id }) => stages.get(id) ?? []);
  return mounts.flatMap((one) =>
    mounts.flatMap((other): Precedence[] => {
      const edges: Precedence[] = [];
      if (one === other) return edges;
      edges.push({
        before: one.first,
        after: other.close,
        reason: {
          kind: 'load path',
          words: 'Every mount is started by hand before any is pulled down, or the holes walk off.',
        },
      });
      if (other.last !== other.close)
        edges.push({
          before: one.close,
          after: other.last,
          reason: {
            kind: 'load path',
            words: 'Every mount is seated before any gets its final torque, or the frame twists.',
          },
        });
      return edges;
    }),
  );
}

function lowerEdges(
  plan: JobPlan,
  teardown: Teardown,
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  const route = routeOf(plan);
  const preLower = operationId.hold('pre-lower');
  const chain = [preLower, ...route.lowerSteps.map(({ id }) => operationId.lower(id))];
  const down = chain.at(-1) ?? preLower;
  const edges: Precedence[] = chain.slice(1).map((after, index) => ({
    before: chain[index] ?? preLower,
    after,
    reason:
      index === 0
        ? { kind: 'hold point', words: 'Nothing is lowered before the pre-lower hold point is signed.' }
        : { kind: 'sequence', words: 'Small steps, and a look all round after each.' },
  }));

  const boundary = new Set(crossing(plan.map.connections, teardown.lump).map(({ id }) => id));
  for (const { id, refit } of opened) {
    const own = stages.get(id);
    if (!own) continue;
    if (refit.beforeLowering !== undefined)
      edges.push({ before: own.last, after: preLower, reason: { kind: 'access', words: refit.beforeLowering } });
    else if (boundary.has(id))
      edges.push({
        before: down,
        after: own.first,
        reason: { kind: 'sequence', words: 'The powerpack has to be down in the bay.' },
      });
  }
  const inBeforeLowering = new Set(
    opened.filter(({ refit }) => refit.beforeLowering !== undefined).flatMap(({ between }) => between),
  );
  for (const { part, why } of route.blockedBy)
    if (teardown.removed.has(part) && !inBeforeLowering.has(part))
      edges.push({
        before: down,
        after: operationId.fit(part),
        reason: { kind: 'access', words: `It came off to make room. ${why}` },
      });
  return edges;
}

function releaseEdges(
  map: ConnectionMap,
  teardown: Teardown,
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  return map.conditions.flatMap(({ id, name, released }): readonly Precedence[] =>
    released && teardown.conditions.has(id)
      ? opened
          .filter(({ needs }) => needs.includes(id))
          .flatMap((connection): Precedence[] => {
            const last = stages.get(connection.id)?.last;
            return last === undefined
              ? []
              : [
                  {
                    before: last,
                    after: operationId.release(id),
                    reason: { kind: 'safety', words: `${name} stays in force until ${connection.name} is finished.` },
                  },
                ];
          })
      : [],
  );
}

/** The machine is not let down while hoist or jack still carries the weight. */
function groundEdges(map: ConnectionMap, operations: readonly Operation[]): readonly Precedence[] {
  const takers = map.conditions.filter(({ takesLoad }) => takesLoad).map(({ id }) => operationId.release(id));
  const releases = operations.filter(({ id }) => takers.includes(id));
  return operations
    .filter(({ height, kind }) => height === 'ground' && kind !== 'release')
    .flatMap(({ id }) =>
      releases.map((release): Precedence => ({
        before: release.id,
        after: id,
        reason: { kind: 'safety', words: 'The machine is let down only when nothing carries its powerpack any more.' },
      })),
    );
}

/** The powerpack sits on its mounts, and hoist and jack are away, before anything else goes back that can wait. */
function loadBackEdges(
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
    .filter(({ id }) => down.has(id) && !leadsToRelease.has(id))
    .flatMap(({ id }) =>
      releases.map((release): Precedence => ({
        before: release.id,
        after: id,
        reason: { kind: 'load path', words: 'The powerpack sits on its own mounts before anything else is connected.' },
      })),
    );
}

/** What was opened to make the machine safe goes back after all other refit work. */
function batteryLast(
  map: ConnectionMap,
  operations: readonly Operation[],
  soFar: readonly Precedence[],
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  const known = new Set(soFar.map(({ before, after }) => `${before} ${after}`));
  return map.conditions.flatMap(({ name, established, makeSafe }) => {
    const own = makeSafe && established.by === 'connection' ? stages.get(established.connection) : undefined;
    if (!own) return [];
    const mine = new Set([own.first, own.close, own.last]);
    return operations
      .filter(({ id }) => !mine.has(id) && !known.has(`${id} ${own.first}`))
      .map(({ id }): Precedence => ({
        before: id,
        after: own.first,
        reason: { kind: 'safety', words: `${name} until all other work is done: it goes back last.` },
      }));
  });
}

function startEdges(operations: readonly Operation[], checks: readonly Operation[]): readonly Precedence[] {
  const [preStart, ...steps] = checks;
  if (!preStart) return [];
  const edges = operations.map(({ id }): Precedence => ({
    before: id,
    after: preStart.id,
    reason: { kind: 'hold point', words: 'The refit has to be finished before anybody cranks.' },
  }));
  steps.forEach(({ id }, index) => {
    edges.push({
      before: steps[index - 1]?.id ?? preStart.id,
      after: id,
      reason: { kind: 'sequence', words: index === 0 ? 'Signed before the first crank.' : 'One look after the other.' },
    });
  });
  return edges;
}
