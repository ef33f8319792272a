import type { MachineHeight, ThreePointMinutes } from '../connection-map/index.js';
import {
  followedOrder,
  groupedOrder,
  setupsOf,
  standsAhead,
  totalMinutes,
  type Orderer,
  type Setup,
} from '../schedule/index.js';
import { halfOf, PHASES, type Operation, type OperationId, type WorkPhase } from '../teardown/index.js';
import { notYetOver } from './left-to-itself.js';
import { heightNeeded, isDone, isSettled, unsettled } from './reading.js';
import type { JobState } from './state.js';
import { waitsFor } from './waits-for.js';

/** The work that is left, in the order it is proposed. */
export interface RunSheet {
  readonly order: readonly Operation[];
  readonly setups: readonly Setup[];
  readonly minutes: ThreePointMinutes;
  readonly heightChanges: number;
}

/** What to do now: the step in hand, what has to happen to the machine first, and what else could be done meanwhile. */
export interface NextUp {
  readonly operation: Operation;
  /** The machine has to stand at this height first. */
  readonly moveTo?: MachineHeight;
  /** Stuck or put off earlier, and come back to because nothing else is left. */
  readonly comesBack: boolean;
  /** The ones after it. */
  readonly then: readonly Operation[];
}

/** By the plan the crew follows, or grouped by place where it follows none. */
function ordererFor(state: JobState, phase: WorkPhase): Orderer {
  const plan = state.plans.get(halfOf(phase));
  return plan ? followedOrder(plan.order) : groupedOrder;
}

/** Before which steps the plans that are followed move the machine, for what comes after them. */
function moveFirst({ plans }: JobState): ReadonlySet<OperationId> {
  return new Set([...plans.values()].flatMap((plan) => plan.moveFirst ?? []));
}

/** What is left of `phases`, phase by phase, each put in order only when it is asked for. */
function* phaseByPhase(
  state: JobState,
  phases: readonly WorkPhase[],
  orderer?: Orderer,
): Iterable<readonly Operation[]> {
  let { height } = state;
  let last: Operation | undefined;
  for (const phase of PHASES) {
    if (!phases.includes(phase)) continue;
    const operations = (orderer ?? ordererFor(state, phase))({
      operations: unsettled(state, phase),
      graph: state.work,
      height,
      later: putOff(state, phase),
      ...lastStation(state, last),
    });
    yield operations;
    last = operations.at(-1) ?? last;
    height = (operations.findLast((step) => step.height !== 'either')?.height as MachineHeight | undefined) ?? height;
  }
}

/**
 * Orders what is left of a job, from where the crew and the machine stand now: by the plan it follows, or by `orderer`.
 * `phases` narrows it to some stops.
 */
export function runSheet(state: JobState, phases: readonly WorkPhase[] = PHASES, orderer?: Orderer): RunSheet {
  const order = [...phaseByPhase(state, phases, orderer)].flat();
  const setups = setupsOf(order, state.height, orderer ? undefined : moveFirst(state));
  return {
    order,
    setups,
    minutes: totalMinutes(order),
    heightChanges: setups.filter(({ moveMachine }) => moveMachine).length,
  };
}

/** What somebody put off or is stuck at, and what is left to itself for a while yet. */
function putOff(state: JobState, phase: WorkPhase): ReadonlySet<string> {
  return new Set([
    ...[...state.progress].filter(([, { is }]) => is !== 'done').map(([id]) => id),
    ...notYetOver(state, phase).map(({ id }) => id),
  ]);
}

/** Where the crew stands: at the last step planned, or else the last one done. */
function lastStation(state: JobState, planned: Operation | undefined): { station?: Operation['station'] } {
  if (planned) return { station: planned.station };
  const done = state.entries.findLast((entry) => entry.kind === 'operation-done' && isDone(state, entry.operation));
  const operation = done?.kind === 'operation-done' ? state.work.operations.get(done.operation) : undefined;
  return operation ? { station: operation.station } : {};
}

const THEN = 3;

/** The step in hand of `phases`, or undefined when none is left or none of them can begin yet. */
export function nextUp(state: JobState, phases: readonly WorkPhase[] = PHASES): NextUp | undefined {
  const order: Operation[] = [];
  const ahead = moveFirst(state);
  let index = -1;
  for (const more of phaseByPhase(state, phases)) {
    const from = order.length;
    order.push(...more);
    if (index < 0) {
      const place = more.findIndex((operation) => waitsFor(state, operation).length === 0);
      if (place >= 0) index = from + place;
    }
    // For one the machine is moved ahead of, all that comes after it may say how.
    if (order.length > index + THEN && index >= 0 && !ahead.has(order[index]?.id ?? '')) break;
  }
  const operation = order[index];
  if (!operation) return undefined;
  const height = ahead.has(operation.id) ? standsAhead(order, index) : operation.height;
  const moveTo = heightNeeded(state, { height });
  return {
    operation,
    comesBack: state.progress.has(operation.id),
    then: order.slice(index + 1, index + 1 + THEN),
    ...(moveTo ? { moveTo } : {}),
  };
}

/**
 * The step in hand of somebody whose steps by the plan are `mine`, in its order: the first of them that can begin and that
 * nobody is stuck at or has put off. Where there is none, what the whole crew would take next.
 */
export function nextOf(
  state: JobState,
  mine: readonly OperationId[],
  phases: readonly WorkPhase[] = PHASES,
): Pick<NextUp, 'operation' | 'moveTo'> | undefined {
  const possible = new Map(possibleNow(state, phases).map((operation) => [operation.id, operation]));
  const aside = new Set(phases.flatMap((phase) => [...putOff(state, phase)]));
  const id = mine.find((one) => possible.has(one) && !aside.has(one));
  const operation = id === undefined ? undefined : possible.get(id);
  return operation ? { operation } : nextUp(state, phases);
}

/** Every step of `phases` that could be done now at this machine height, the step in hand among them. */
export function possibleNow(state: JobState, phases: readonly WorkPhase[] = PHASES): readonly Operation[] {
  // What carries the weight is the same for all of them.
  const moves = heightNeeded(state, { height: state.height === 'raised' ? 'ground' : 'raised' }) !== undefined;
  return runSheet(state, phases).order.filter(
    (operation) =>
      (!moves || operation.height === 'either' || operation.height === state.height) &&
      waitsFor(state, operation).length === 0,
  );
}

/** Whether `operation` is open and could be done now at this machine height. */
export function isPossible(state: JobState, operation: Operation): boolean {
  return (
    !isSettled(state, operation) &&
    heightNeeded(state, operation) === undefined &&
    waitsFor(state, operation).length === 0
  );
}
