/**
 * The whole work of one job as one graph: the way out and the way back together, so that ledger, schedule and screens
 * all ask the same question of the same edges. Built once for a plan and again when a connection is found.
 */
import {
  crossing,
  planHeldTo,
  type Connection,
  type ConnectionId,
  type HoldPoint,
  type JobPlan,
  type PartId,
} from '../connection-map/index.js';
import { byMoves, type MovesOut } from './by-moves.js';
import { benchOf, NOTHING_DECIDED, openedInAll, type Bench, type BenchDecisions } from '../bench/index.js';
import { deedsBack, refitOf } from '../refit/index.js';
import { coverRuns } from './cover-runs.js';
import { measuredRuns } from './measured-runs.js';
import {
  holdPointsFor,
  motionOn,
  operationId,
  precedenceGraph,
  refuseLoops,
  teardownOf,
  type Hanging,
  type Operation,
  type OperationId,
  type Precedence,
  type PrecedenceGraph,
  type Run,
  type Teardown,
} from '../teardown/index.js';

export {
  byMoves,
  CARRIED_BY,
  type CarriedBy,
  type FurtherLeg,
  type LegMoves,
  type MovesOut,
  type MoveStep,
} from './by-moves.js';

export interface Work extends PrecedenceGraph {
  readonly plan: JobPlan;
  readonly operations: ReadonlyMap<OperationId, Operation>;
  readonly precedence: readonly Precedence[];
  readonly connections: ReadonlyMap<ConnectionId, Connection>;
  /** Parts that leave as one lump. */
  readonly lump: ReadonlySet<PartId>;
  /** Connections with one end in the lump. */
  readonly boundary: readonly Connection[];
  /** Why each operation of the way out is in the plan. */
  readonly because: ReadonlyMap<OperationId, string>;
  /** What is done while it is out, and what for. */
  readonly bench: Pick<Bench, 'opened' | 'removed' | 'pairs' | 'renewed' | 'unreached' | 'replaced'>;
  /** What is signed on this job, each with what is looked at for it. */
  readonly holdPoints: readonly HoldPoint[];
  /** Steps that are one job in the same hands, out and back. */
  readonly runs: readonly Run[];
}

/** Work of plans nothing was found on: a plan never changes, and the same one is asked for again and again. */
const known = new WeakMap<JobPlan, Work>();

/**
 * All work of `plan`, with the connections `found` while working laid onto its map, unless it has them by now, with the
 * `moves` of its lift where they were worked out for this machine, and with what is done at the bench as was `decided`. Throws `MapError` and
 * `CyclicMapError` as the teardown does.
 */
export function workOf(
  plan: JobPlan,
  found: readonly Connection[] = [],
  moves?: MovesOut,
  decided: BenchDecisions = NOTHING_DECIDED,
): Work {
  if (moves) return derived(byMoves(withFound(plan, found), moves), decided);
  if (found.length > 0 || decided !== NOTHING_DECIDED) return derived(withFound(plan, found), decided);
  const work = known.get(plan) ?? derived(plan, decided);
  known.set(plan, work);
  return work;
}

function withFound(plan: JobPlan, found: readonly Connection[]): JobPlan {
  const there = new Set(plan.map.connections.map(({ id }) => id));
  const more = found.filter(({ id }) => !there.has(id));
  return { ...plan, map: { ...plan.map, connections: [...plan.map.connections, ...more] } };
}

function derived(whole: JobPlan, decided: BenchDecisions): Work {
  const teardown = teardownOf(whole);
  const bench = benchOf(whole, teardown, decided, deedsBack(whole, teardown));
  const inAll = openedInAll(teardown, bench);
  const refit = refitOf(whole, teardown, inAll);
  const together = [...bench.operations, ...refit.operations];
  const motionOf = motionOn(whole.map);
  const operations = [...teardown.operations, ...together].map((operation) => {
    const { moves, at } = motionOf(operation);
    return moves.length + at.length === 0 ? operation : { ...operation, moves, at };
  });
  const after = [...bench.precedence, ...refit.precedence];
  const precedence = [...teardown.precedence, ...after, ...afterTheLift(teardown, together, after)];
  const graph = precedenceGraph(precedence);
  refuseLoops(operations, graph, whole.map);
  return {
    plan: whole,
    operations: new Map(operations.map((operation) => [operation.id, operation])),
    precedence,
    ...graph,
    connections: new Map(whole.map.connections.map((connection) => [connection.id, connection])),
    lump: teardown.lump,
    boundary: crossing(whole.map.connections, teardown.lump),
    because: new Map([...teardown.because, ...bench.because]),
    bench,
    holdPoints: holdPointsFor(whole, inAll),
    runs: planHeldTo(whole, 3)
      ? [
          ...torqueRuns(together, graph, planHeldTo(whole, 8) ? LEND_A_HAND_MIN : 0),
          ...(planHeldTo(whole, 8)
            ? [
                ...rowRuns(whole, operations),
                ...coverRuns(bench.removed.keys(), together, graph),
                ...measuredRuns(whole.map, together),
              ]
            : []),
          ...runsOf([...teardown.hanging, ...bench.hanging], together),
          ...bench.meetings,
          ...refit.meetings,
        ]
      : [],
  };
}

/** So long, in minutes, whoever held on stays by while the other one brings it to its figure. */
const LEND_A_HAND_MIN = 5;

/**
 * Whoever closes a joint goes on to its torque, unless that has to wait: for others of its group, for a joint that comes
 * before it, for the machine to stand otherwise, or, where it takes longer than `lendMin`, for fewer hands.
 */
function torqueRuns(operations: readonly Operation[], { into }: PrecedenceGraph, lendMin: number): readonly Run[] {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const waitsOf = (id: OperationId) => (into.get(id) ?? []).map(({ before }) => before);
  return operations.flatMap(({ id, kind, connection = '', hands, height, minutes }): readonly Run[] => {
    if (kind !== 'torque') return [];
    const close = byId.get(operationId.close(connection));
    if (!close || close.height !== height) return [];
    if (close.hands < hands || (close.hands > hands && minutes.likely > lendMin)) return [];
    const over = new Set([close.id, ...waitsOf(close.id)]);
    return waitsOf(id).every((one) => over.has(one)) ? [{ first: close.id, then: id }] : [];
  });
}

/** A heavy part is let down by whoever undoes its last fastener, and whoever sets it in place puts that one in. */
function runsOf(hanging: readonly Hanging[], operations: readonly Operation[]): readonly Run[] {
  const there = new Set(operations.map(({ id }) => id));
  return hanging.flatMap(({ part, last }): Run[] => {
    const begun = [operationId.start(last.id), operationId.close(last.id)].find((id) => there.has(id));
    return [
      { first: operationId.open(last.id), then: operationId.remove(part.id) },
      ...(begun !== undefined && there.has(operationId.fit(part.id))
        ? [{ first: operationId.fit(part.id), then: begun }]
        : []),
    ];
  });
}

/** What is numbered is gone through by its numbers, in the same hands: injector 1 to 4, one coil after the other. */
function rowRuns({ map }: JobPlan, operations: readonly Operation[]): readonly Run[] {
  const there = new Map(operations.map((operation) => [operation.id, operation]));
  const plugs = new Map(map.connections.flatMap((one) => (one.kind === 'plug' ? [[one.id, one] as const] : [])));
  return [...plugs.keys()].flatMap((id): readonly Run[] => {
    const [, row, number] = /^(.*-)(\d+)$/.exec(id) ?? [];
    const next = `${row}${Number(number) + 1}`;
    if (row === undefined || !plugs.has(next)) return [];
    return [operationId.open, operationId.close].flatMap((of) => {
      const [one, other] = [there.get(of(id)), there.get(of(next))];
      return one && other && one.station === other.station ? [{ first: one.id, then: other.id }] : [];
    });
  });
}

/** Whatever may begin at the bench or on the way back waits until the powerpack is out and set down. */
function afterTheLift(
  teardown: Teardown,
  operations: readonly Operation[],
  edges: readonly Precedence[],
): readonly Precedence[] {
  const out = teardown.operations.filter(({ phase }) => phase === 'lift').at(-1);
  if (!out) return [];
  const waiting = new Set(edges.map(({ after }) => after));
  return operations
    .filter(({ id }) => !waiting.has(id))
    .map(({ id, phase }) => ({
      before: out.id,
      after: id,
      reason: {
        kind: 'sequence',
        words:
          phase === 'bench' ? 'It is reached with the powerpack out.' : 'It goes back once the powerpack has been out.',
      },
    }));
}
