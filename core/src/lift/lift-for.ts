import { lumpOf, routeOf, type JobPlan, type PartId } from '../connection-map/index.js';
import { isDone, partsOut, type JobState } from '../ledger/index.js';
import { shapeOf } from '../layouts/shapes/index.js';
import type { Measured } from '../shape/index.js';
import { FIRST_GEAR, type LiftingGear } from '../rigging/index.js';
import { operationId, type OperationId } from '../teardown/index.js';
import { workOf, type Work } from '../work/index.js';
import { fluidInside } from './fluid-inside.js';
import type { LiftOf } from './legs.js';

/** How high stands hold a machine, as a rule, in mm. */
const RAISED_MM = 350;

/** What of a job its lift hangs on: all that a worker has to be told of it. */
export interface LiftFacts extends Omit<LiftOf, 'shape'> {
  readonly measured: Measured;
}

/**
 * The lift of a job as it stands: what is off already, and what the plan takes off before it. Parts put off until later
 * are still on; what is not on this machine is not. `gear` is what the shop lifts with, ordinary gear unless said.
 */
export function liftFacts(state: JobState, gear: LiftingGear = FIRST_GEAR): LiftFacts {
  const { plan, lump, operations } = state.work;
  const passedOver = (part: PartId) => {
    const progress = state.progress.get(operationId.remove(part));
    return progress?.is === 'skipped' && progress.mode === 'later';
  };
  const planned = [...operations.values()].flatMap(({ kind, part }) =>
    kind === 'remove' && part !== undefined && !passedOver(part) ? [...lumpOf(plan.map, [part])] : [],
  );
  const raised = routeOf(plan).liftSteps.some(({ height }) => height === 'raised');
  return {
    map: plan.map,
    lump,
    route: plan.route,
    off: new Set([...partsOut(state), ...planned]),
    measured: Object.fromEntries(state.measured),
    raisedMm: raised ? RAISED_MM : 0,
    inFirst: inFirst(state),
    putOff: [...operations.values()].flatMap(({ kind, part }) =>
      kind === 'remove' && part !== undefined && passedOver(part) ? [{ part, minutes: minutesLeft(state, part) }] : [],
    ),
    fluids: fluidInside(state).map(({ part, massKg }) => ({ part, massKg })),
    gear,
  };
}

/** What has to be done before the powerpack is in, its steps in included. */
function beforeItIsIn({ operations, into }: Work): ReadonlySet<OperationId> {
  const before = new Set([...operations.values()].filter(({ kind }) => kind === 'lower').map(({ id }) => id));
  for (const id of before) for (const { before: earlier } of into.get(id) ?? []) before.add(earlier);
  return before;
}

function fitted({ operations }: Work, is: (fit: OperationId) => boolean): readonly PartId[] {
  return [...operations.values()].flatMap(({ id, kind, part }) =>
    kind === 'fit' && part !== undefined && is(id) ? [part] : [],
  );
}

/** Parts that have to be in before the powerpack is, and those that somebody fitted before it already. */
function inFirst(state: JobState): ReadonlySet<PartId> {
  const before = beforeItIsIn(state.work);
  return new Set([...fitted(state.work, (id) => before.has(id)), ...fittedEarly(state)]);
}

/**
 * Parts that were fitted while the powerpack is still on its way in, although nothing asks for it: no way back was reckoned
 * with them.
 */
export function fittedEarly(state: JobState): readonly PartId[] {
  const before = beforeItIsIn(state.work);
  const isIn = [...state.work.operations.values()].every(({ id, kind }) => kind !== 'lower' || isDone(state, id));
  return isIn ? [] : fitted(state.work, (id) => isDone(state, id) && !before.has(id));
}

/** What is left to do, out and back, for `part` to be off at the lift, in likely minutes. */
function minutesLeft(state: JobState, part: PartId): number {
  const ties = (connection: string | undefined) =>
    state.work.connections.get(connection ?? '')?.between.includes(part) ?? false;
  return [...state.work.operations.values()]
    .filter(({ id, part: of, connection }) => (of === part || ties(connection)) && !isDone(state, id))
    .reduce((sum, { minutes }) => sum + minutes.likely, 0);
}

/**
 * The lift that `facts` tell of in true measure. Nothing where nobody drew its layout. Throws `ShapeError` where a
 * measurement turns something inside out.
 */
export function inShape({ measured, ...facts }: LiftFacts): LiftOf | undefined {
  const shape = shapeOf(facts.map, measured);
  return shape && { ...facts, shape };
}

/** The lift of a job as it stands, in true measure, as {@link inShape} has it. */
export function liftFor(state: JobState, gear?: LiftingGear): LiftOf | undefined {
  return inShape(liftFacts(state, gear));
}

/** `plan` with one more part taken off before the lift. */
export function withoutPart(plan: JobPlan, part: PartId): JobPlan {
  const { offFirst = [], ...practice } = plan.practice ?? {};
  return { ...plan, practice: { ...practice, offFirst: [...offFirst.filter((one) => one !== part), part] } };
}

/**
 * What taking `part` off before the lift and putting it back adds to the work of `plan`, in likely minutes; nothing where
 * it cannot come off by itself.
 */
export function minutesToTakeOff(plan: JobPlan, part: PartId): number | undefined {
  if (!plan.map.parts.some(({ id, removal }) => id === part && removal)) return undefined;
  const minutes = ({ operations }: Work) =>
    [...operations.values()].reduce((sum, operation) => sum + operation.minutes.likely, 0);
  const more = minutes(workOf(withoutPart(plan, part))) - minutes(workOf(plan));
  return more > 0 ? more : undefined;
}
