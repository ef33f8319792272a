import type { MachineHeight, Station } from '../connection-map/index.js';
import type { Operation, OperationId, Precedence, PrecedenceGraph, Run } from '../teardown/index.js';
import type { InLine } from './alike.js';
import type { Crew } from './crew.js';
import type { Opening } from './openings.js';

/** What an orderer is asked: which operations to put in order, and where the crew stands now. */
export interface OrderingProblem {
  /** To be ordered, in map order; an edge from anything else is taken as satisfied. */
  readonly operations: readonly Operation[];
  readonly graph: PrecedenceGraph;
  readonly height: MachineHeight;
  readonly station?: Station;
  /** Put off as far as the edges allow: stuck or skipped for now. */
  readonly later?: ReadonlySet<OperationId>;
  /** What stands open to dirt between two of them: it is closed before other work is gone on with, and opened last. */
  readonly openings?: readonly Opening[];
}

/** Puts every operation of a problem in an order that respects every edge. The seam for better searches. */
export type Orderer = (problem: OrderingProblem) => readonly Operation[];

/**
 * What an operation does to the weight of the powerpack: lifting gear takes some of it, gives it back, or everything is
 * set down. While any gear carries it the machine is not moved, and what is left is reached as it stands.
 */
export type Load = 'takes' | 'takes-all' | 'gives-back' | 'sets-down';

/** What a schedule is asked for. Times are minutes of working time from now. */
export interface SchedulingProblem {
  /** What is to be done; an edge from anything else is taken as satisfied. */
  readonly operations: readonly Operation[];
  readonly precedence: readonly Precedence[];
  readonly crew: Crew;
  readonly height: MachineHeight;
  /** Where each of the crew stands, by name, as far as it is known. */
  readonly standing?: ReadonlyMap<string, Station>;
  readonly load?: ReadonlyMap<OperationId, Load>;
  /** How many pieces of lifting gear carry the powerpack now. */
  readonly carrying?: number;
  /** Not before this minute: arranged with somebody, waiting for penetrant or a part. */
  readonly notBefore?: ReadonlyMap<OperationId, number>;
  /** Done by somebody from outside the crew. */
  readonly outside?: ReadonlySet<OperationId>;
  /** Which stage of the crew’s school an operation belongs to; stages follow each other, and never against an edge. */
  readonly stages?: ReadonlyMap<OperationId, number>;
  /** What each step belongs with, for those that belong with anything. */
  readonly lines?: ReadonlyMap<OperationId, InLine>;
  /** What stands open to dirt between two steps. */
  readonly openings?: readonly Opening[];
  /** Steps that are one job: the same people go straight on from the first to the second. */
  readonly runs?: readonly Run[];
}
