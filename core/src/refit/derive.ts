import { planHeldTo, routeOf, type ConnectionMap, type JobPlan } from '../connection-map/index.js';
import {
  choreEdges,
  choreOperation,
  choresFor,
  operationId,
  type DeedSteps,
  type Operation,
  type Precedence,
  type Run,
  type Teardown,
} from '../teardown/index.js';
import {
  adaptEdges,
  carrierEdges,
  fillEdges,
  inHandEdges,
  looseGroupEdges,
  lowerEdges,
  mountEdges,
  reversedEdges,
  stageEdges,
} from './edges.js';
import {
  adaptOperations,
  checkOperations,
  connectionOperations,
  fillOperations,
  fitOperations,
  lowerOperations,
  releaseOperations,
} from './operations.js';
import { batteryLast, loadBackEdges, releaseEdges, seatEdges } from './release.js';
import { facesOf, partedUnits } from './faces.js';
import { meetingOnTheWayIn, sittingFirst } from './meeting.js';
import { coverEdges, startEdges } from './start.js';
import { stagesOf, type Stages } from './stages.js';

/** The way back: operations from lowering to handover and what must come before what. */
export interface Refit {
  readonly operations: readonly Operation[];
  readonly precedence: readonly Precedence[];
  /** Units brought together on the way in, and the first bolts of their faces. */
  readonly meetings: readonly Run[];
}

/**
 * Derives the way back from the way out. Access edges are turned round (what was uncovered first is covered last),
 * what must be in before lowering waits on the near side of the pre-lower hold point, mounts are all started by hand
 * before any is seated and all seated before any has its final torque, circuits are filled when their last joint is
 * closed, and what isolated the battery goes back last. `inAll`: with what is opened and drained at the bench as well,
 * which chores, looks and fills go by.
 */
export function refitOf(plan: JobPlan, teardown: Teardown, inAll: Teardown = teardown): Refit {
  const { map } = plan;
  const opened = map.connections.filter(({ id }) => teardown.opened.has(id) && !plan.leftOff?.includes(id));
  const checks = checkOperations(plan, inAll);
  const looked = planHeldTo(plan, 3) && checks.some(({ id }) => id === operationId.check('leaks'));
  const again = planHeldTo(plan, 8) ? coversAgain(map, teardown) : new Set<string>();
  const late = looked ? new Set([...afterLeakCheck(map), ...again]) : new Set<string>();
  const stages = new Map(opened.map((connection) => [connection.id, stagesOf(connection)]));
  const steps = deedsBack(plan, inAll);
  const chores = choresFor(plan, inAll, 'back', steps);
  const operations = [
    ...chores.map(choreOperation),
    ...lowerOperations(plan),
    ...fitOperations(map, teardown),
    ...opened.flatMap(connectionOperations),
    ...adaptOperations(plan),
    ...fillOperations(map, inAll),
    ...releaseOperations(map, teardown),
  ].map((operation): Operation =>
    late.has(operation.part ?? '') || late.has(operation.connection ?? '')
      ? { ...operation, phase: 'handover', needsRunning: true }
      : operation,
  );
  const early = operations.filter(({ phase }) => phase === 'refit');
  const covering = operations.filter(({ phase }) => phase === 'handover');
  // Where no step of the route says that faces meet, they are started with the mounts.
  const meets = planHeldTo(plan, 7) && routeOf(plan).lowerSteps.some((step) => step.meets === true);
  const faces = meets ? facesOf(opened, partedUnits(map)) : [];
  const sits = meets ? sittingFirst(plan, opened, faces) : undefined;
  const sitting = sits?.joints ?? [];
  const soFar = [
    ...choreEdges(chores, steps),
    ...stageEdges(opened, stages),
    ...looseGroupEdges(opened, stages),
    ...reversedEdges(plan, teardown, stages),
    ...inHandEdges(teardown, stages),
    ...mountEdges(opened, stages, faces, sitting),
    ...carrierEdges(plan, teardown, opened, stages, faces),
    ...lowerEdges(plan, teardown, opened, stages, faces, sits),
    ...fillEdges(plan, teardown, inAll),
    ...adaptEdges(plan, stages),
    ...releaseEdges(plan, teardown, operations, opened, stages),
    ...seatEdges(plan, teardown, operations),
  ];
  const met = meetingOnTheWayIn(plan, opened, stages, faces, sitting, soFar);
  const refitOnly = [...soFar, ...met.edges];
  const withLoad = [...refitOnly, ...loadBackEdges(map, operations, refitOnly)];
  const precedence = [
    ...withLoad,
    ...batteryLast(map, early, withLoad, stages),
    ...startEdges(early, checks),
    ...coverEdges(covering, checks, again),
  ];
  return { operations: [...operations, ...checks], precedence, meetings: met.runs };
}

/** The steps of the way back by what they are done to. */
export function deedsBack({ map, leftOff }: JobPlan, teardown: Teardown): DeedSteps {
  const once = (done: boolean, id: string) => (done ? { first: id, last: id } : undefined);
  const stages = new Map<string, Stages>(
    map.connections
      .filter(({ id }) => teardown.opened.has(id) && !leftOff?.includes(id))
      .map((connection) => [connection.id, stagesOf(connection)]),
  );
  return (deed) => {
    if ('undone' in deed)
      return teardown.removed.has(deed.undone)
        ? once(true, operationId.remove(deed.undone))
        : once(teardown.opened.has(deed.undone), operationId.open(deed.undone));
    if ('renewal' in deed) return undefined;
    if ('connection' in deed) return stages.get(deed.connection);
    if ('part' in deed) return once(teardown.removed.has(deed.part), operationId.fit(deed.part));
    if ('circuit' in deed) return once(teardown.drained.has(deed.circuit), operationId.fill(deed.circuit));
    if ('condition' in deed) return once(teardown.conditions.has(deed.condition), operationId.release(deed.condition));
    if ('holdPoint' in deed) return once(true, operationId.hold(deed.holdPoint));
    return once(true, operationId.chore(deed.chore));
  };
}

/** Parts that go back on once the leaks have been looked for, and the connections at them. */
function afterLeakCheck({ parts, connections }: ConnectionMap): ReadonlySet<string> {
  const last = new Set(parts.filter((part) => part.afterLeakCheck).map(({ id }) => id));
  const at = connections.filter(({ between }) => between.some((part) => last.has(part))).map(({ id }) => id);
  return new Set([...last, ...at]);
}

/** Parts that came off and cover a joint which is torqued once more after the first heat cycle, and the connections at them. */
function coversAgain({ connections }: ConnectionMap, { removed, opened }: Teardown): ReadonlySet<string> {
  const covers = new Set(
    connections
      .filter(({ id, refit }) => refit.torque?.again === true && opened.has(id))
      .flatMap(({ access }) =>
        access.flatMap((need) => ('removed' in need && removed.has(need.removed) ? [need.removed] : [])),
      ),
  );
  const at = connections.filter(({ between }) => between.some((part) => covers.has(part))).map(({ id }) => id);
  return new Set([...covers, ...at]);
}
