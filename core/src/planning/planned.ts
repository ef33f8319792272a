import type { Half, JobState, PlanSettings } from '../ledger/index.js';
import {
  boundOf,
  followedOrder,
  groupedOrder,
  ScheduleBuilder,
  scheduleOf,
  taskNet,
  type Bound,
  type Schedule,
  type Task,
  type TaskNet,
} from '../schedule/index.js';
import { precedenceGraph, type OperationId } from '../teardown/index.js';
import { problemFor, type PlanningProblem } from './problem-for.js';

/** The rest of one half of a job, with times and people, by one order. */
export interface Planned {
  readonly problem: PlanningProblem;
  readonly net: TaskNet;
  readonly schedule: Schedule;
  readonly bound: Bound;
}

/** The ids of the steps of `schedule`, in the order they begin: what a plan keeps of it. */
export function orderOf({ steps }: Schedule): readonly OperationId[] {
  return steps.map(({ operation }) => operation.id);
}

/** `order` as tasks of `net`: steps it does not know are put in, steps that are done fall out, edges stand above it. */
export function tasksIn(net: TaskNet, order: readonly OperationId[] | undefined): readonly Task[] {
  const { operations, precedence, height } = net.problem;
  const orderer = order ? followedOrder(order) : groupedOrder;
  return orderer({ operations, graph: precedenceGraph(precedence), height }).flatMap(
    ({ id }) => net.byId.get(id) ?? [],
  );
}

/** The rest of `half` by `order`, or grouped by place where there is none. Throws a RangeError for a crew of nobody. */
export function planned(
  state: JobState,
  half: Half,
  settings: PlanSettings,
  order: readonly OperationId[] | undefined,
): Planned {
  const problem = problemFor(state, half, settings);
  const net = taskNet(problem);
  const schedule = scheduleOf(net, new ScheduleBuilder(net).build(tasksIn(net, order)));
  return { problem, net, schedule, bound: boundOf(net) };
}

/** Who does each of the steps that can begin now, by the plan: names by operation. */
export function turnsOf({ schedule }: Planned): ReadonlyMap<OperationId, readonly string[]> {
  return new Map(schedule.steps.map(({ operation, people }) => [operation.id, people]));
}
