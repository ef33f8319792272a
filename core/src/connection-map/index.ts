/**
 * The connection map: every part of a machine and every connection that ties it to another part or to the body,
 * with the fasteners, tools, minutes, conditions and access a person meets there. This module says what a map is,
 * what is wrong with one, and answers questions about it as a graph: which parts come away together, which
 * connections cross that boundary, what is still fast to the body. It knows nothing of the order of work.
 */
export * from './connection.js';
export * from './job-plan.js';
export * from './map.js';
export * from './step.js';
export * from './set-and-measured.js';
export { CAUTION_WORDS } from './cautions.js';
export { CyclicMapError, MapError } from './errors.js';
export {
  connectionsById,
  crossing,
  leavesBy,
  lumpOf,
  lumpOfPlan,
  needsOf,
  partsById,
  powerpackOf,
  reachable,
  reachOf,
  routeOf,
  waysOut,
  type Way,
} from './graph.js';
export { planHeldTo, RULES_NOW } from './rules.js';
export { problemsOf, type MapProblem } from './problems.js';
