import {
  lumpOf,
  reachable,
  type Condition,
  type Connection,
  type MachineHeight,
  type PartId,
} from '../connection-map/index.js';
import { operationId, type Operation, type OperationId, type WorkPhase } from '../teardown/index.js';
import type { JobState } from './state.js';
import { STOPS, type Stop } from '../stops/index.js';

/** Whether `operation` has been done. */
export function isDone(state: JobState, operation: OperationId): boolean {
  return state.progress.get(operation)?.is === 'done';
}

/** Whether `connection` is open now: opened on the way out and not yet closed on the way back. */
export function isOpen(state: JobState, connection: string): boolean {
  return isDone(state, operationId.open(connection)) && !isDone(state, operationId.close(connection));
}

function isNotHere(state: JobState, operation: OperationId): boolean {
  const progress = state.progress.get(operation);
  return progress?.is === 'skipped' && progress.mode === 'not-here';
}

/** Kinds of steps of a connection that open it. */
const UNDOES: readonly Operation['kind'][] = ['disconnect', 'make-safe'];

/**
 * Whether nothing waits for `operation` any more: it is done, found not to be on this machine, left as it is for a
 * reason, or the way back of something that was never undone.
 */
export function isSettled(state: JobState, operation: Operation): boolean {
  if (isDone(state, operation.id) || isNotHere(state, operation.id)) return true;
  const { connection, part, kind } = operation;
  if (connection !== undefined) {
    const left = state.leftAsItIs.get(connection)?.as;
    if (UNDOES.includes(kind)) return left === 'attached';
    return left !== undefined || isNotHere(state, operationId.open(connection));
  }
  return kind === 'fit' && part !== undefined && isNotHere(state, operationId.remove(part));
}

/** Operations of `phase` that are not settled, in map order. */
export function unsettled(state: JobState, phase?: WorkPhase): readonly Operation[] {
  return [...state.work.operations.values()].filter(
    (operation) => (phase === undefined || operation.phase === phase) && !isSettled(state, operation),
  );
}

/** Something that still ties the powerpack to what stays. */
export interface Holding {
  readonly connection: Connection;
  /** False where it only drags a loose part along; true where it is fast to the body. */
  readonly toBody: boolean;
}

/** Parts that are off the machine now, with what rides with them. */
export function partsOut(state: JobState): ReadonlySet<PartId> {
  const out = new Set<PartId>();
  for (const { id } of state.work.plan.map.parts)
    if (isDone(state, operationId.remove(id)) && !isDone(state, operationId.fit(id)))
      for (const part of lumpOf(state.work.plan.map, [id])) out.add(part);
  return out;
}

/**
 * What still holds the powerpack: the cut between it and everything else, taken over the connections that are closed
 * now, found ones included. What is not on this machine, or is left on purpose, is not in it.
 */
export function holding(state: JobState): readonly Holding[] {
  const { work } = state;
  const out = partsOut(state);
  const closed = work.plan.map.connections.filter(
    ({ id }) =>
      !isOpen(state, id) && !isNotHere(state, operationId.open(id)) && state.leftAsItIs.get(id)?.as !== 'attached',
  );
  const fastToBody = reachable(work.plan.map.body, closed, work.lump);
  return closed
    .filter(
      ({ between: [one, other] }) => work.lump.has(one) !== work.lump.has(other) && !out.has(one) && !out.has(other),
    )
    .map((connection) => ({
      connection,
      toBody: connection.between.some((end) => !work.lump.has(end) && fastToBody.has(end)),
    }));
}

/** Connections that are open now and not left off on purpose. */
export function stillOpen(state: JobState): readonly Connection[] {
  return state.work.plan.map.connections.filter(
    ({ id }) =>
      isOpen(state, id) && state.work.operations.has(operationId.close(id)) && state.leftAsItIs.get(id)?.as !== 'off',
  );
}

/** Conditions in force now. Hoist and jack count from the time they take the weight until the powerpack is set down. */
export function conditionsInForce(state: JobState): readonly Condition[] {
  const { work } = state;
  const lifts = [...work.operations.values()].filter(({ kind }) => kind === 'lift');
  const lowers = [...work.operations.values()].filter(({ kind }) => kind === 'lower');
  const setDown = lifts.length > 0 && lifts.every(({ id }) => isDone(state, id));
  const lowering = lowers.some(({ id }) => isDone(state, id));
  return work.plan.map.conditions.filter((condition) => {
    const { id, established, takesLoad, endedBy } = condition;
    if (established.by === 'connection') return isOpen(state, established.connection);
    if (!isDone(state, operationId.establish(id)) || isDone(state, operationId.release(id))) return false;
    if (takesLoad) return !setDown || lowering;
    // What a step ends is in force until then. Older maps have none for some, and those end as it may be cranked.
    if (work.operations.has(operationId.release(id))) return true;
    const end = endedBy === undefined ? undefined : operationId.check(endedBy);
    return end !== undefined && work.operations.has(end) ? !isDone(state, end) : !engineReady(state);
  });
}

/**
 * The height the machine has to be moved to before `operation`, or undefined where it can be done as it stands. While
 * hoist or jack carries the weight the machine is not moved, and what is left is reached as it stands.
 */
export function heightNeeded(state: JobState, { height }: Pick<Operation, 'height'>): MachineHeight | undefined {
  if (height === 'either' || height === state.height) return undefined;
  return carrying(state).length > 0 ? undefined : height;
}

/** Conditions in force that carry the powerpack's weight. */
export function carrying(state: JobState): readonly Condition[] {
  return conditionsInForce(state).filter(({ takesLoad }) => takesLoad);
}

/** Once it may be cranked, what was made safe for the work is so no more. */
function engineReady(state: JobState): boolean {
  return isDone(state, operationId.hold('pre-start'));
}

/** Whether any attempt has brought the engine to run. */
export function hasRun({ attempts }: JobState): boolean {
  return attempts.some(({ result }) => result === 'runs' || result === 'runs-rough');
}

/** Mass in kg of the powerpack as it hangs now: the lump less what has been taken off it. */
export function powerpackMassKg(state: JobState): number {
  const out = partsOut(state);
  return state.work.plan.map.parts
    .filter(({ id }) => state.work.lump.has(id) && !out.has(id))
    .reduce((sum, { massKg }) => sum + (massKg ?? 0), 0);
}

/** The stop of the journey a job has come to. */
export function stopOf(state: JobState): Stop {
  if (state.handedOver) return 'handover';
  if (unsettled(state, 'strip').length > 0) return state.progress.size === 0 ? 'plan' : 'strip';
  if (unsettled(state, 'lift').length > 0) return 'lift';
  const refit = unsettled(state, 'refit');
  const begun = [...state.work.operations.values()].some(({ id, phase }) => phase === 'refit' && isDone(state, id));
  if (refit.length > 0) return begun && unsettled(state, 'bench').length === 0 ? 'refit' : 'bench';
  return unsettled(state, 'first-start').length > 0 ? 'first-start' : 'handover';
}

/** Whether the powerpack is still in: what counts is what holds it, and no longer so once it has been lifted. */
export function onTheWayOut(state: JobState): boolean {
  return STOPS.indexOf(stopOf(state)) <= STOPS.indexOf('lift');
}

/** Whether the powerpack is out and set down. */
export function allLifted(state: JobState): boolean {
  return [...state.work.operations.values()].every(({ id, phase }) => phase !== 'lift' || isDone(state, id));
}

/** Whether the powerpack is out of the machine: up and away, and nothing of the way back down has begun. */
export function isAway(state: JobState): boolean {
  const lowered = [...state.work.operations.values()].some(({ id, kind }) => kind === 'lower' && isDone(state, id));
  return allLifted(state) && !lowered;
}

/** Steps that got stuck and have not been finished since, in map order. */
export function stuckSteps(state: JobState): readonly Operation[] {
  return [...state.work.operations.values()].filter(({ id }) => state.progress.get(id)?.is === 'stuck');
}

/** Whether a step of this kind may be passed over at all; never one that others' safety hangs on. */
export function mayBePassedOver({ kind }: Operation): boolean {
  return !['hold-point', 'make-safe', 'support', 'lift', 'lower', 'shift'].includes(kind);
}

/** Fasteners to be had new: single-use ones of every connection that was opened. */
export interface SingleUse {
  readonly connection: Connection;
  readonly count: number;
  readonly what: string;
}

/** Single-use fasteners of all that was opened so far, in map order. */
export function singleUseOpened(state: JobState): readonly SingleUse[] {
  return [...state.work.connections.values()]
    .filter(({ id }) => isDone(state, operationId.open(id)))
    .flatMap((connection) =>
      connection.fasteners.filter(({ singleUse }) => singleUse).map(({ count, what }) => ({ connection, count, what })),
    );
}
