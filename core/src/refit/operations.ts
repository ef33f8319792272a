import {
  partsById,
  planHeldTo,
  reachOf,
  routeOf,
  type CheckStep,
  type Connection,
  type ConnectionMap,
  type JobPlan,
  type StepSpec,
  type ThreePointMinutes,
  type TorqueSpec,
} from '../connection-map/index.js';
import {
  closingName,
  closingTitle,
  holdPointOperation,
  isForJob,
  operationId,
  type Operation,
  type Teardown,
} from '../teardown/index.js';

/** The pre-lower hold point and the steps of the route’s way down. */
export function lowerOperations(plan: JobPlan): readonly Operation[] {
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

/** Setting each part back that was taken out. */
export function fitOperations(map: ConnectionMap, teardown: Teardown): readonly Operation[] {
  const parts = partsById(map);
  return [...teardown.removed.keys()].flatMap((id): Operation[] => {
    const part = parts.get(id);
    if (!part?.removal) return [];
    return [
      {
        ...fitting(part.removal),
        id: operationId.fit(id),
        phase: 'refit',
        kind: 'fit',
        part: id,
        title: `Set the ${part.name} in place`,
      },
    ];
  });
}

const TWO_HANDED_NM = 100;

/**
 * Minutes to bring a joint to its final torque: the wrench fetched and set, then each fastener, longer where it is tight
 * or has an angle after it.
 */
function torqueMinutes({ fasteners }: Connection, { targetNm, angleDeg }: TorqueSpec): ThreePointMinutes {
  const pieces = Math.max(
    1,
    fasteners.reduce((sum, { count }) => sum + count, 0),
  );
  const each = (targetNm < 30 ? 0.3 : targetNm < TWO_HANDED_NM ? 0.5 : 1) + (angleDeg === undefined ? 0 : 0.5);
  const likely = Math.max(2, Math.round(1 + pieces * each));
  return { low: Math.max(1, Math.round(likely / 2)), likely, high: likely * 2 + 1 };
}

/** Tools that only take things apart. */
const TAKES_APART = /penetrant|puller|breaker|pry bar|plugs and caps|drain tray/;

/** A removal as it is on the way back: what was to be minded taking the part out says nothing of setting it in. */
export function fitting({ tip: _tip, tools, ...step }: StepSpec): StepSpec {
  return { ...step, tools: tools.filter((tool) => !TAKES_APART.test(tool)) };
}

/** Steps of connections that were asked for before: those of a map are the same on every way out. */
const known = new WeakMap<Connection, readonly Operation[]>();

/** One connection: started by hand where it carries load, closed, and at final torque where it has a figure. */
export function connectionOperations(connection: Connection): readonly Operation[] {
  const operations = known.get(connection) ?? stepsOf(connection);
  known.set(connection, operations);
  return operations;
}

function stepsOf(connection: Connection): readonly Operation[] {
  const { id, name, station, height, hands, tools, cautions, moves, refit } = connection;
  const common = {
    phase: 'refit' as const,
    connection: id,
    station,
    height,
    tools,
    cautions,
    ...(moves ? { moves } : {}),
  };
  const operations: Operation[] = [];
  if (connection.carriesLoad)
    operations.push({
      ...common,
      id: operationId.start(id),
      kind: 'start-by-hand',
      title: `Start ${closingName(name)} by fingers, every one`,
      hands,
      tools: [],
      minutes: { low: 2, likely: 5, high: 15 },
    });
  operations.push({
    ...common,
    id: operationId.close(id),
    kind: 'connect',
    title: connection.carriesLoad ? `Seat ${closingName(name)}` : closingTitle(connection),
    hands,
    minutes: refit.minutes,
    ...(refit.height ? { height: refit.height } : {}),
    ...(refit.note === undefined ? {} : { tip: refit.note }),
  });
  if (refit.torque)
    operations.push({
      ...common,
      id: operationId.torque(id),
      kind: 'torque',
      title: `Torque ${closingName(name)}`,
      ...(refit.torque.height ? { height: refit.torque.height } : {}),
      // What takes a long bar, or somebody at the crank, takes the second pair of hands again.
      hands: hands === 2 && (refit.torque.targetNm >= TWO_HANDED_NM || moves !== undefined) ? 2 : 1,
      tools: ['torque wrench'],
      minutes: torqueMinutes(connection, refit.torque),
    });
  return operations;
}

/** What a swap asks to be made, changed or bought before something can be closed. */
export function adaptOperations(plan: JobPlan): readonly Operation[] {
  const connections = new Map(plan.map.connections.map((connection) => [connection.id, connection]));
  return (plan.adaptations ?? []).map(({ id, title, minutes, connection, dueBy, tip }): Operation => ({
    id: operationId.adapt(id),
    phase: 'refit',
    kind: 'adapt',
    title,
    station: connections.get(connection ?? '')?.station ?? (dueBy === 'start' ? 'bay-top' : 'front'),
    height: 'either',
    hands: 1,
    tools: [],
    minutes,
    cautions: [],
    ...(tip === undefined ? {} : { tip }),
  }));
}

/** Filling each circuit that was drained. */
export function fillOperations(map: ConnectionMap, teardown: Teardown): readonly Operation[] {
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

/** Taking away what carried the load. */
export function releaseOperations(map: ConnectionMap, teardown: Teardown): readonly Operation[] {
  return map.conditions.flatMap(({ id, released }): Operation[] =>
    released && teardown.conditions.has(id)
      ? [{ ...released, id: operationId.release(id), phase: 'refit', kind: 'release', condition: id }]
      : [],
  );
}

/** Whether a look is for this job. Earlier plans have every look there is. */
const isFor = ({ where }: CheckStep, plan: JobPlan, teardown: Teardown): boolean =>
  !planHeldTo(plan, 3) || isForJob(where, plan, teardown);

/** The pre-start hold point and the looks of first start and handover, in order. */
export function checkOperations(plan: JobPlan, teardown: Teardown): readonly Operation[] {
  const { map } = plan;
  const check = ({ id, when, where: _where, wait, ...step }: CheckStep): Operation => ({
    ...step,
    id: operationId.check(id),
    phase: when === 'handover' ? 'handover' : 'first-start',
    kind: wait === true ? 'wait' : 'check',
    needsRunning: when !== 'before-start',
  });
  const order = ['before-start', 'after-start', 'handover'] as const;
  const preStart = holdPointOperation(map, 'pre-start', 'first-start', {
    // Under a cab that is down again nobody stands over the bay.
    station: reachOf(map, { station: 'bay-top' }).length > 0 ? 'front' : 'bay-top',
    height: 'ground',
    cautions: ['fuel', 'exhaust-gas'],
  });
  return [
    preStart,
    ...order.flatMap((when) =>
      map.checks.filter((step) => step.when === when && isFor(step, plan, teardown)).map(check),
    ),
  ];
}
