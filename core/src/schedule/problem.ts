import type { MachineHeight, Station } from '../connection-map/index.js';
import type { Operation, OperationId, PrecedenceGraph } from '../teardown/index.js';

/** What an orderer is asked: which operations to put in order, and where the crew stands now. */
export interface OrderingProblem {
  /** To be ordered, in map order; an edge from anything else is taken as satisfied. */
  readonly operations: readonly Operation[];
  readonly graph: PrecedenceGraph;
  readonly height: MachineHeight;
  readonly station?: Station;
  /** Put off as far as the edges allow: stuck or skipped for now. */
  readonly later?: ReadonlySet<OperationId>;
}

/** Puts every operation of a problem in an order that respects every edge. The seam for better searches. */
export type Orderer = (problem: OrderingProblem) => readonly Operation[];
