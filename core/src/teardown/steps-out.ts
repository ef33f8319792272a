import {
  partsById,
  planHeldTo,
  reachOf,
  routeOf,
  type Condition,
  type ConnectionMap,
  type HoldPointId,
  type JobPlan,
  type StepSpec,
} from '../connection-map/index.js';
import { openingTitle, operationId, type Operation } from './operation.js';
import { ratedForKg } from './rated.js';
import { type Requirements } from './requirements.js';

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

/** What is done to strip the machine. */
export function stripOperations(plan: JobPlan, required: Requirements): readonly Operation[] {
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
              ...ratedWords(plan, condition, required),
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
  const taken = map.conditions.find(({ id, takesLoad }) => takesLoad && required.conditions.has(id))?.established;
  const isAsked = planHeldTo(plan, 8) && map.holdPoints.some(({ id }) => id === 'pre-weight');
  const ready =
    isAsked && taken?.by === 'step'
      ? [
          holdPointOperation(map, 'pre-weight', 'strip', {
            station: taken.step.station,
            height: taken.step.height,
            cautions: ['under-load'],
          }),
        ]
      : [];
  return [...conditions, madeSafe, ...ready, ...drains, ...opens, ...removals];
}

/** With the tip of the step at which gear takes weight: how much, and what every piece of it has to be rated for. */
function ratedWords(plan: JobPlan, condition: Condition, required: Requirements): Pick<StepSpec, 'tip'> {
  const rated = condition.takesLoad && planHeldTo(plan, 8) ? ratedForKg(plan, condition, required) : undefined;
  if (!rated || condition.established.by !== 'step') return {};
  const { tip } = condition.established.step;
  const words = `About ${rated.loadKg} kg: every piece of it rated for ${rated.ratedKg} kg or more.`;
  return { tip: tip === undefined ? words : `${words} ${tip}` };
}

/** What is done to lift the powerpack out. */
export function liftOperations(plan: JobPlan): readonly Operation[] {
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
