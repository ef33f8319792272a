/**
 * Refit: the way back, derived from the way out. Edges of the teardown are turned round and the trade's own rules are
 * laid over them: in before lowering, fingers before tools, all mounts seated before any is torqued, circuits filled
 * when closed, battery last, and the checks of first start and handover behind the pre-start hold point.
 */
export { deedsBack, refitOf, type Refit } from './derive.js';
export { connectionOperations, fitting } from './operations.js';
export { inHandEdges, LATER, stageEdges } from './edges.js';
export { facesOf, firstBolts, partedUnits, readyToMeet } from './faces.js';
export { stagesOf, type Stages } from './stages.js';
