import type { JobPlan } from '../connection-map/index.js';
import type { Operation, Precedence, Teardown } from '../teardown/index.js';
import {
  adaptEdges,
  batteryLast,
  inHandEdges,
  loadBackEdges,
  lowerEdges,
  mountEdges,
  releaseEdges,
  reversedEdges,
  stageEdges,
  startEdges,
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
import { stagesOf } from './stages.js';

/** The way back: operations from lowering to handover and what must come before what. */
export interface Refit {
  readonly operations: readonly Operation[];
  readonly precedence: readonly Precedence[];
}

/**
 * Derives the way back from the way out. Access edges are turned round (what was uncovered first is covered last),
 * what must be in before lowering waits on the near side of the pre-lower hold point, mounts are all started by hand
 * before any is seated and all seated before any has its final torque, circuits are filled when their last joint is
 * closed, and what isolated the battery goes back last.
 */
export function refitOf(plan: JobPlan, teardown: Teardown): Refit {
  const { map } = plan;
  const opened = map.connections.filter(({ id }) => teardown.opened.has(id) && !plan.leftOff?.includes(id));
  const operations = [
    ...lowerOperations(plan),
    ...fitOperations(map, teardown),
    ...opened.flatMap(connectionOperations),
    ...adaptOperations(plan),
    ...fillOperations(map, teardown),
    ...releaseOperations(map, teardown),
  ];
  const stages = new Map(opened.map((connection) => [connection.id, stagesOf(connection)]));
  const checks = checkOperations(map);
  const refitOnly = [
    ...stageEdges(opened, stages),
    ...reversedEdges(plan, teardown, stages),
    ...inHandEdges(teardown, stages),
    ...mountEdges(opened, stages),
    ...lowerEdges(plan, teardown, opened, stages),
    ...adaptEdges(plan, stages),
    ...releaseEdges(plan, teardown, opened, stages),
  ];
  const withLoad = [...refitOnly, ...loadBackEdges(map, operations, refitOnly)];
  const precedence = [
    ...withLoad,
    ...batteryLast(map, operations, withLoad, stages),
    ...startEdges(operations, checks),
  ];
  return { operations: [...operations, ...checks], precedence };
}
