import type { JobState, PlanSettings } from '../ledger/index.js';
import {
  boundOf,
  followedOrder,
  groupedOrder,
  ScheduleBuilder,
  scheduleOf,
  taskNet,
  workOrderOf,
  type Bound,
  type Schedule,
  type Task,
  type TaskNet,
  type WorkOrder,
} from '../schedule/index.js';
import { precedenceGraph, type OperationId, type Half } from '../teardown/index.js';
import { problemFor, type OwnMinutes, type PlanningProblem } from './problem-for.js';

/** The rest of one half of a job, ready to be ordered, and what no order can be better than. */
export interface Prepared {
  readonly problem: PlanningProblem;
  readonly net: TaskNet;
  readonly bound: Bound;
}

/** The rest of one half of a job, with times and people, by one order. */
export interface Planned extends Prepared {
  readonly schedule: Schedule;
}

/** The ids of the steps of `schedule`, in the order they begin. */
export function orderOf({ steps }: Schedule): readonly OperationId[] {
  return steps.map(({ operation }) => operation.id);
}

/** What a plan keeps of what is planned. */
export function workOrder({ schedule, net }: Planned): WorkOrder {
  return keptOrder(net, schedule);
}

/**
 * What a plan keeps of `schedule`: its steps in the order they begin. Where that list would come out later than the
 * schedule does, because a run ahead in it keeps others waiting, the list it was built from.
 */
export function keptOrder(net: TaskNet, schedule: Schedule): WorkOrder {
  const begun = workOrderOf(schedule, net.problem.height);
  const marked = new Set(net.tasks.filter(({ moveFirst }) => moveFirst));
  const again = new ScheduleBuilder(net).costs(tasksIn(net, begun));
  for (const task of net.tasks) task.moveFirst = marked.has(task);
  return again.objective > schedule.costs.objective + 1e-9 ? schedule.listed : begun;
}

/**
 * `plan` as tasks of `net`, marked where the machine is moved early: steps it does not know are put in, steps that are
 * done fall out, edges stand above it. Grouped by place where there is no plan.
 */
export function tasksIn(net: TaskNet, plan: WorkOrder | undefined): readonly Task[] {
  const { operations, height, notBefore, openings } = net.problem;
  // An order somebody made knows what has to wait; the grouped one puts it off, so that other work goes on meanwhile.
  const later = new Set([...(notBefore ?? [])].flatMap(([id, min]) => (min > 0 ? [id] : [])));
  const problem = { operations, graph: precedenceGraph(net.edges), height };
  const ordered = plan
    ? followedOrder(plan.order)(problem)
    : groupedOrder({ ...problem, later, ...(openings ? { openings } : {}) });
  for (const task of net.tasks) task.moveFirst = plan?.moveFirst?.includes(task.operation.id) ?? false;
  return ordered.flatMap(({ id }) => net.byId.get(id) ?? []);
}

/**
 * Makes the rest of `half` ready to be ordered, with the shop’s own `minutes` where it has any. Throws a RangeError for
 * a crew of nobody.
 */
export function prepared(state: JobState, half: Half, settings: PlanSettings, minutes?: OwnMinutes): Prepared {
  const problem = problemFor(state, half, settings, minutes);
  const net = taskNet(problem);
  return { problem, net, bound: boundOf(net) };
}

/** What is ready, by `plan`, or grouped by place where there is none. */
export function arranged(ready: Prepared, plan: WorkOrder | undefined): Planned {
  const { net } = ready;
  return { ...ready, schedule: scheduleOf(net, new ScheduleBuilder(net).build(tasksIn(net, plan))) };
}

/** The rest of `half` by `plan`, or grouped by place where there is none. Throws a RangeError for a crew of nobody. */
export function planned(state: JobState, half: Half, settings: PlanSettings, plan: WorkOrder | undefined): Planned {
  return arranged(prepared(state, half, settings), plan);
}

/** Who does each of the steps that can begin now, by the plan: names by operation. */
export function turnsOf({ schedule }: Planned): ReadonlyMap<OperationId, readonly string[]> {
  return new Map(schedule.steps.map(({ operation, people }) => [operation.id, people]));
}
