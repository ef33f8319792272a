import { MOVING, STATIONS } from '../connection-map/index.js';
import {
  descendantsOf,
  precedenceGraph,
  type Operation,
  type OperationId,
  type Precedence,
  type Run,
} from '../teardown/index.js';
import { ROOM } from './crew.js';
import type { Load, SchedulingProblem } from './problem.js';

/**
 * An operation as the search works with it: neighbours at hand, names turned into numbers. `endMin`, `place` and
 * `moveFirst` are working values of whoever builds or searches; they mean nothing to anybody else.
 */
export interface Task {
  readonly index: number;
  readonly operation: Operation;
  readonly minutes: number;
  /** Hands it takes of the crew: never more than there are, none where somebody from outside does it. */
  readonly hands: number;
  /** Hands it would want and the crew does not have. */
  readonly handsShort: number;
  /** Index among the stations. */
  readonly station: number;
  /** Everybody else stops for it: hold points, and whatever hangs in the air. */
  readonly exclusive: boolean;
  /** Only time that passes: it takes no room and keeps nobody, and the machine may be moved meanwhile. */
  readonly waiting: boolean;
  readonly load?: Load;
  readonly notBefore: number;
  readonly stage: number;
  readonly tools: readonly number[];
  /** Which line it belongs to, and its place in it; steps that belong with nothing have a line of their own. */
  readonly line: number;
  readonly inLine: number;
  /** What it sets in motion, and what hands are at during it, as bits by the list of what may move. */
  readonly moves: number;
  readonly at: number;
  /** The step that goes on without a break in the same hands, where it is the first of a run. */
  then: Task | undefined;
  /** The step whose hands it goes on in, where it is the second of a run. */
  first: Task | undefined;
  /** Hands it keeps busy: those of the whole run it belongs to, which nobody leaves. */
  handsHeld: number;
  /** Direct neighbours, without those that follow from others. */
  readonly before: readonly Task[];
  readonly after: readonly Task[];
  /** Everything that has to come before, directly or not, as bits by index. */
  readonly ancestors: Uint32Array;
  endMin: number;
  place: number;
  /** The machine is moved before it already, for what comes later in the order, although it could be done as it stands. */
  moveFirst: boolean;
}

/** A scheduling problem made ready to be searched. */
export interface TaskNet {
  readonly problem: SchedulingProblem;
  /** The edges of the problem, and those that keep a run from being begun too early. */
  readonly edges: readonly Precedence[];
  /** In the order of the operations given. */
  readonly tasks: readonly Task[];
  readonly byId: ReadonlyMap<OperationId, Task>;
  /** Every task after all it waits for. */
  readonly topological: readonly Task[];
  readonly toolCount: number;
  /** How many find room at each station, by its index. */
  readonly room: readonly number[];
  /** What stands open to dirt, from the end of the first to the beginning of the second. */
  readonly openings: readonly (readonly [from: Task, until: Task])[];
  /** How many pieces of gear give the weight back after a `takes-all`. */
  readonly gear: number;
}

/** Whether everybody else stops for an operation: hold points, and whatever hangs in the air. */
export function stopsEverybody({ kind }: Operation): boolean {
  return kind === 'hold-point' || kind === 'lift' || kind === 'lower';
}

/** Whether one of the two moves what hands are at during the other, or moves itself. */
export function keepApart(one: Task, other: Task): boolean {
  return (one.moves & (other.at | other.moves)) !== 0 || (other.moves & one.at) !== 0;
}

/** Whether `one` has to come before `other`, directly or not. */
export function precedes(one: Task, other: Task): boolean {
  return ((other.ancestors[one.index >>> 5] ?? 0) & (1 << (one.index & 31))) !== 0;
}

type Draft = Task & { readonly before: Task[]; readonly after: Task[] };

/**
 * Makes `problem` ready to be searched. Throws a RangeError where nobody is in the crew, or where operations wait for
 * each other in a ring.
 */
export function taskNet(problem: SchedulingProblem): TaskNet {
  const { operations, crew } = problem;
  const people = crew.hands.length;
  if (people === 0) throw new RangeError('A plan needs at least one person.');
  const toolNumbers = new Map<string, number>();
  const numbered = numbering(toolNumbers);
  const lineNumber = numbering(new Map());
  const words = (operations.length + 31) >>> 5;
  const tasks = operations.map((operation, index): Draft => {
    const { id, minutes, station, tools } = operation;
    const load = problem.load?.get(id);
    const waiting = operation.kind === 'wait';
    const hands = waiting || problem.outside?.has(id) === true ? 0 : operation.hands;
    return {
      index,
      operation,
      minutes: minutes.likely,
      hands: Math.min(hands, people),
      handsShort: Math.max(0, hands - people),
      station: STATIONS.indexOf(station),
      exclusive: stopsEverybody(operation),
      waiting,
      ...(load ? { load } : {}),
      notBefore: problem.notBefore?.get(id) ?? 0,
      stage: problem.stages?.get(id) ?? 0,
      tools: [...new Set(tools)].map(numbered),
      line: lineNumber(problem.lines?.get(id)?.line ?? id),
      inLine: problem.lines?.get(id)?.place ?? 0,
      moves: bitsOf(operation.moves),
      at: bitsOf(operation.at),
      then: undefined,
      first: undefined,
      handsHeld: Math.min(hands, people),
      before: [],
      after: [],
      ancestors: new Uint32Array(words),
      endMin: 0,
      place: 0,
      moveFirst: false,
    };
  });
  const byId = new Map(tasks.map((task) => [task.operation.id, task]));
  const { runs, edges } = withRuns({
    ...problem,
    runs: (problem.runs ?? []).filter(({ first, then }) => byId.has(first) && byId.has(then)),
  });
  for (const { first, then } of runs) {
    const [one, other] = [byId.get(first), byId.get(then)];
    if (!one || !other) continue;
    one.then = other;
    other.first = one;
  }
  for (const head of tasks.filter(({ first }) => !first)) {
    const run = runFrom(head);
    const held = Math.max(...run.map(({ hands }) => hands));
    for (const task of run) task.handsHeld = held;
  }
  const topological = linked(edges, tasks, byId);
  const openings = (problem.openings ?? []).flatMap(({ from, until }): TaskNet['openings'] => {
    const [first, then] = [byId.get(from), byId.get(until)];
    return first && then ? [[first, then]] : [];
  });
  return {
    problem,
    edges,
    tasks,
    byId,
    topological,
    toolCount: toolNumbers.size,
    openings,
    room: STATIONS.map((station) => (crew.cramped.includes(station) ? 1 : ROOM)),
    gear: tasks.filter(({ load }) => load === 'gives-back').length,
  };
}

/** The steps that are gone through in one go from `head` on, itself the first. */
function runFrom(head: Task): readonly Task[] {
  const run = [head];
  for (let next = head.then; next; next = next.then) run.push(next);
  return run;
}

/** Gives names their numbers, in the order they come up. */
function numbering(numbers: Map<string, number>): (name: string) => number {
  return (name) => {
    const number = numbers.get(name) ?? numbers.size;
    numbers.set(name, number);
    return number;
  };
}

/** Bits of what may move, by its place in the list. */
function bitsOf(moving: Operation['moves'] = []): number {
  return moving.reduce((bits, one) => bits | (1 << MOVING.indexOf(one)), 0);
}

/**
 * The runs of `problem` that can be gone through with, and its edges with those that keep a run from being begun before
 * all of it can be done. A run that something has to come between, as the crew may have pinned it, is none.
 */
function withRuns({ runs = [], precedence, stages }: SchedulingProblem): {
  readonly runs: readonly Run[];
  readonly edges: readonly Precedence[];
} {
  const edges: Precedence[] = [...precedence];
  const stage = (id: OperationId) => stages?.get(id) ?? 0;
  const kept = lastFirst(runs).filter(({ first, then }) => {
    if (!edges.some(({ before, after }) => after === then && before !== first)) return true;
    // Looked at anew for each: what keeps one run together is an order for the next.
    const graph = precedenceGraph(edges);
    const behind = descendantsOf(first, graph);
    const waitsFor = (graph.into.get(then) ?? []).map(({ before }) => before).filter((before) => before !== first);
    if (waitsFor.some((before) => behind.has(before) || stage(before) > stage(first))) return false;
    for (const before of waitsFor)
      edges.push({
        before,
        after: first,
        reason: { kind: 'sequence', words: 'One job in the same hands: it is begun when all of it can be done.' },
      });
    return true;
  });
  return { runs: kept, edges };
}

/** `runs` with those a run goes on in before it: what the end of a chain waits for, its beginning waits for too. */
function lastFirst(runs: readonly Run[]): readonly Run[] {
  const sorted = new Set<Run>();
  const seen = new Set<Run>();
  const take = (run: Run) => {
    if (seen.has(run)) return;
    seen.add(run);
    for (const next of runs) if (next.first === run.then) take(next);
    sorted.add(run);
  };
  runs.forEach(take);
  return [...sorted];
}

/** Ties the tasks to their neighbours, freed of edges that follow from others, and gives them in topological order. */
function linked(
  edges: readonly Precedence[],
  tasks: readonly Draft[],
  byId: ReadonlyMap<OperationId, Draft>,
): readonly Task[] {
  const into = new Map<Task, Set<Draft>>(tasks.map((task) => [task, new Set()]));
  const outOf = new Map<Task, Set<Draft>>(tasks.map((task) => [task, new Set()]));
  for (const edge of edges) {
    const [first, then] = [byId.get(edge.before), byId.get(edge.after)];
    if (!first || !then) continue;
    into.get(then)?.add(first);
    outOf.get(first)?.add(then);
  }
  const waits = new Map(tasks.map((task) => [task, into.get(task)?.size ?? 0]));
  const order = tasks.filter((task) => waits.get(task) === 0);
  for (const task of order)
    for (const then of outOf.get(task) ?? []) {
      const left = (waits.get(then) ?? 0) - 1;
      waits.set(then, left);
      if (left === 0) order.push(then);
    }
  if (order.length < tasks.length) throw new RangeError('Some of the operations wait for each other in a ring.');

  order.forEach((task, place) => (task.place = place));
  for (const task of order) {
    // Latest first: what an already linked neighbour waits for itself adds nothing.
    for (const first of [...(into.get(task) ?? [])].sort((one, other) => other.place - one.place)) {
      if (precedes(first, task)) continue;
      task.before.push(first);
      first.after.push(task);
      task.ancestors[first.index >>> 5] = (task.ancestors[first.index >>> 5] ?? 0) | (1 << (first.index & 31));
      first.ancestors.forEach((bits, word) => (task.ancestors[word] = (task.ancestors[word] ?? 0) | bits));
    }
  }
  return order;
}
