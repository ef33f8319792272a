/**
 * Teardown: from a connection map, a powerpack and a route to the operations that get it out, with what must come
 * before what and why. What has to be opened is derived, never listed: every connection that crosses the powerpack
 * boundary, what blocks the route, and what access to those needs, to any depth. Edges come in layers: access and
 * conditions as authored, then the load path (weight taken and mounts last), then the hold points.
 */
export { teardownOf, refuseLoops, type Teardown } from './derive.js';
export { holdPointOperation } from './steps-out.js';
export * from './operation.js';
export { choreEdges, choreOperation, choresFor, type DeedSteps } from './chores.js';
export { holdPointsFor, isForJob } from './scope.js';
export { ancestorsOf, descendantsOf, findLoop, precedenceGraph, type PrecedenceGraph } from './precedence-graph.js';
export { motionOn, type Motion } from './motion.js';
export { HEAVY_KG, hangingParts, letGoOverKg, type Hanging, type Run } from './runs.js';
export { requirementsOf, type Requirements } from './requirements.js';
