/**
 * Schedule: who does what when, and how the machine stands for it. `taskNet` makes a {@link SchedulingProblem} ready,
 * {@link Search} looks for a good order for as long as it is let, `scheduleOf` gives the order times and people,
 * `boundOf` says what nothing can be better than, `chainOf` and `slackOf` explain. {@link Orderer} is the older, smaller
 * question: operations in an order, without times. Minutes are minutes of working time from now.
 */
export { linesOf, type InLine } from './alike.js';
export { boundOf, type Bound } from './bound.js';
export { ScheduleBuilder, type Costs, type Placed } from './builder.js';
export {
  crewOf,
  RAISED_ON,
  raisedOn,
  ROOM,
  USUAL_WEIGHTS,
  type Absence,
  type Crew,
  type Hand,
  type RaisedOn,
  type Weights,
  type WorkingDay,
} from './crew.js';
export { chainOf, slackOf, type Link } from './explain.js';
export { followedOrder } from './followed-order.js';
export { helpCalls, type HelpCall } from './help.js';
export { groupedOrder } from './grouped-order.js';
export { openingsIn, type Opening } from './openings.js';
export type { Load, Orderer, OrderingProblem, SchedulingProblem } from './problem.js';
export {
  crewSetups,
  scheduleOf,
  workOrderOf,
  type Cause,
  type CrewSetup,
  type Schedule,
  type ScheduledStep,
  type WorkOrder,
} from './schedule.js';
export { respects, Search } from './search.js';
export {
  FUEL_SCHOOLS,
  NO_SCHOOL,
  ORDER_SCHOOLS,
  stagesOf,
  type FuelSchool,
  type OrderSchool,
  type School,
} from './school.js';
export { setupsOf, standsAhead, totalMinutes, type Setup } from './setups.js';
export { precedes, taskNet, type Task, type TaskNet } from './task.js';
