import type { Chore, ConnectionId, JobPlan, PartId } from '../connection-map/index.js';
import { inHandEdges, stageEdges, stagesOf, type Stages } from '../refit/index.js';
import {
  choreEdges,
  choreOperation,
  choresFor,
  hangingParts,
  letGoOverKg,
  operationId,
  type DeedSteps,
  type Hanging,
  type Operation,
  type OperationId,
  type Precedence,
  type Run,
  type Teardown,
} from '../teardown/index.js';
import type { BenchDecisions } from './decisions.js';
import {
  apartEdges,
  changeEdges,
  chargeEdges,
  lastBeforeLowering,
  partEdges,
  reachEdges,
  renewalEdges,
  standEdges,
} from './edges.js';
import { meetingsAtBench } from './meeting.js';
import { benchOperations, benchPlace, removalOf, SET_ON_STAND } from './operations.js';
import { pinEdges } from './pins.js';
import { benchRequired, type BenchRequirements } from './required.js';

/** The work between out and back: what is done, in what order, and why each is there at all. */
export interface Bench extends BenchRequirements {
  readonly operations: readonly Operation[];
  readonly precedence: readonly Precedence[];
  readonly hanging: readonly Hanging[];
  /** Units brought together, and the first bolts of their faces. */
  readonly meetings: readonly Run[];
  readonly because: ReadonlyMap<OperationId, string>;
}

/**
 * Derives what is done while the powerpack is out: parted and set down first, what is in front off before what is
 * behind it, each thing renewed while it can be reached, and on again in the turned order; all of it before the
 * powerpack goes down. `steps` tells how the chores’ deeds are done on the way back.
 */
export function benchOf(plan: JobPlan, teardown: Teardown, decisions: BenchDecisions, steps: DeedSteps): Bench {
  const { map } = plan;
  const { required, chores, deeds, operations } = benchSteps(plan, teardown, decisions, steps);
  const opened = map.connections.filter(({ id }) => required.opened.has(id));
  const closed = opened.filter(({ id }) => !plan.leftOff?.includes(id));
  const stages = stagesFor(plan, required);
  const reached = [
    ...choreEdges(chores, deeds),
    ...stageEdges(closed, stages),
    ...reachEdges(plan, required, opened, stages),
    ...partEdges(plan, required, stages),
    ...standEdges(operations),
    ...chargeEdges(plan, required, chores, stages),
    ...apartEdges(required, opened, chores, stages),
    ...renewalEdges(plan, required, opened, stages),
    ...pinEdges(plan, required, opened, chores, stages),
  ];
  // What is heavy is let down by whoever undoes its last fastener, at the bench as well.
  const { hanging, edges } = hangingParts(
    map,
    map.parts.flatMap((part) => (required.removed.has(part.id) ? [{ ...part, removal: removalOf(plan, part) }] : [])),
    required,
    reached,
    letGoOverKg(plan),
  );
  const basic = [...reached, ...edges, ...inHandEdges({ hanging }, stages)];
  const changed = [...basic, ...changeEdges(plan, required, chores, stages, basic)];
  const met = meetingsAtBench(plan, required, opened, stages, changed);
  const precedence = [...changed, ...met.edges, ...lastBeforeLowering(operations)];
  const because = new Map<OperationId, string>([
    ...[...required.opened].map(([id, why]) => [operationId.open(id), why] as const),
    ...[...required.removed].map(([id, why]) => [operationId.remove(id), why] as const),
    ...[...required.drained].map(([id, why]) => [operationId.drain(id), why] as const),
    ...[...required.dry].map(([id, why]) => [operationId.fill(id), why] as const),
    ...required.charged.map(({ part, why }) => [operationId.charge(part), why] as const),
    ...required.pairs.map(({ leaves, why }) => [operationId.apart(leaves), why] as const),
    ...required.renewed.map(({ id, why }) => [operationId.renew(id), why] as const),
    ...chores.map(({ id, why }) => [operationId.chore(id), why] as const),
  ]);
  return { ...required, operations, precedence, hanging, meetings: met.runs, because };
}

/** What is done at the bench, in no order yet, and what that was worked out from: enough to say what it costs. */
export function benchSteps(plan: JobPlan, teardown: Teardown, decisions: BenchDecisions, steps: DeedSteps) {
  const required = benchRequired(plan, teardown, decisions);
  const stages = stagesFor(plan, required);
  const once = (there: boolean, id: OperationId) => (there ? { first: id, last: id } : undefined);
  const deeds: DeedSteps = (deed) => {
    if ('undone' in deed)
      return required.removed.has(deed.undone)
        ? once(true, operationId.remove(deed.undone))
        : once(required.opened.has(deed.undone), operationId.open(deed.undone));
    if ('renewal' in deed)
      return once(
        required.renewed.some(({ id }) => id === deed.renewal),
        operationId.renew(deed.renewal),
      );
    if ('connection' in deed) return stages.get(deed.connection) ?? steps(deed);
    if ('part' in deed && required.removed.has(deed.part)) return once(true, operationId.fit(deed.part));
    return steps(deed);
  };
  const chores = choresFor(plan, openedInAll(teardown, required), 'bench', deeds);
  const doing = chores.map((chore): Operation => {
    const operation = choreOperation(chore);
    return { ...operation, ...benchPlace(isDoneOutside(plan, teardown, chore), operation) };
  });
  const decided = benchOperations(plan, teardown, required);
  // Jobs begun before anything could be decided have chores out there, and no such step.
  const stand = decided.some(({ station }) => station === 'bench') ? [SET_ON_STAND] : [];
  return { required, chores, deeds, operations: [...stand, ...doing, ...decided] };
}

/** The way back of each connection that is opened at the bench. */
function stagesFor({ map, leftOff }: JobPlan, { opened }: BenchRequirements): ReadonlyMap<ConnectionId, Stages> {
  return new Map(
    map.connections
      .filter(({ id }) => opened.has(id) && !leftOff?.includes(id))
      .map((connection) => [connection.id, stagesOf(connection)]),
  );
}

/** Whether a chore is done on what is out of the machine: as it says itself, as what it comes after is, or what it comes before. */
function isDoneOutside({ map }: JobPlan, { lump }: Teardown, { where, after, before }: Chore): boolean {
  if (where?.comesOut !== undefined || where?.staysIn !== undefined) return where.staysIn === undefined;
  const done = after.length > 0 ? after : before;
  const ends = done.flatMap((deed): readonly PartId[] => {
    if ('renewal' in deed) return map.renewals?.filter(({ id }) => id === deed.renewal).map(({ at }) => at) ?? [];
    if ('part' in deed) return [deed.part];
    const id = 'connection' in deed ? deed.connection : 'undone' in deed ? deed.undone : undefined;
    const joint = map.connections.find((one) => one.id === id);
    return joint?.between ?? map.parts.filter((part) => part.id === id).map((part) => part.id);
  });
  return ends.length > 0 && ends.every((end) => lump.has(end));
}

/** The way out’s requirements with what is opened and drained at the bench among them: what chores and looks go by. */
export function openedInAll(teardown: Teardown, bench: BenchRequirements): Teardown {
  const { opened, drained, dry, renewed, replaced } = bench;
  if (opened.size + drained.size + dry.size + renewed.length + replaced.size === 0) return teardown;
  return {
    ...teardown,
    opened: new Map([...teardown.opened, ...opened]),
    drained: new Map([...teardown.drained, ...drained, ...dry]),
    replaced: new Set([...replaced.values()].flatMap((stays) => [...stays])),
    renewed: new Set(renewed.map(({ id }) => id)),
  };
}
