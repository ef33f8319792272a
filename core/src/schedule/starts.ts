import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { precedes, type Task, type TaskNet } from './task.js';

/** How much a rule thinks of each good reason to take a task next. */
export interface Rule {
  /** It is where the last one was. */
  readonly stay: number;
  /** The machine need not be moved for it. */
  readonly height: number;
  /** Much has to come after it, as a share of the longest chain. */
  readonly urgent: number;
  /** Much work waits where it is, as a share of all work. */
  readonly busy: number;
  /** Its tools were used for the last one. */
  readonly tools: number;
  /** It is the next in the row of the last one. */
  readonly alike: number;
  /** It closes what stands open, or opens nothing that would. */
  readonly shut: number;
  /** Chance, up to this much. */
  readonly chance: number;
}

/** Rules that each make one good beginning. */
export const RULES: readonly Rule[] = [
  { stay: 4, height: 10, urgent: 1, busy: 2, tools: 0.5, alike: 2, shut: 3, chance: 0 },
  { stay: 4, height: 10, urgent: 0, busy: 0, tools: 1, alike: 2, shut: 6, chance: 0 },
  { stay: 1, height: 6, urgent: 5, busy: 0, tools: 0, alike: 0.5, shut: 0, chance: 0 },
  { stay: 0, height: 2, urgent: 1, busy: 0, tools: 0, alike: 0, shut: 0, chance: 0 },
];

/** Minutes of the longest chain of work from the beginning of each task, by index. */
export function tailsOf(net: TaskNet): Float64Array {
  const tails = new Float64Array(net.tasks.length);
  for (const task of [...net.topological].reverse()) {
    let longest = 0;
    for (const then of task.after) longest = Math.max(longest, tails[then.index] ?? 0);
    tails[task.index] = longest + task.minutes;
  }
  return tails;
}

/** How well `task` goes on from `last`: 1 for the next in its row, less the farther along, least for going back. */
function nextInRow(last: Task | undefined, task: Task): number {
  if (last?.line !== task.line) return 0;
  return task.inLine < last.inLine ? 0.5 : 1 / (1 + 0.01 * (task.inLine - last.inLine));
}

/** For everything that is opened: the tasks that have to be done before it is closed, and closing it. */
function onTheWayToClosing({ openings, tasks }: TaskNet): readonly (readonly [from: Task, way: ReadonlySet<Task>])[] {
  return openings.map(([from, until]) => [
    from,
    new Set(tasks.filter((task) => task === until || (precedes(from, task) && precedes(task, until)))),
  ]);
}

/** An order of the tasks by `rule`: of those that could come next, always the one the rule thinks most of. */
export function orderBy(net: TaskNet, rule: Rule, random: RandomGenerator): readonly Task[] {
  const tails = tailsOf(net);
  const longest = Math.max(1, ...tails);
  const workAt = new Map<number, number>();
  for (const { station, minutes } of net.tasks) workAt.set(station, (workAt.get(station) ?? 0) + minutes);
  const work = [...workAt.values()].reduce((sum, minutes) => sum + minutes, 1);
  let { height } = net.problem;
  let last: Task | undefined;
  const opens = new Set(net.openings.map(([from]) => from));
  const shuts = onTheWayToClosing(net);
  const done = new Set<Task>();
  const score = (task: Task) => {
    const needs = task.operation.height;
    return (
      (last?.station === task.station ? rule.stay : 0) +
      (needs === 'either' || needs === height ? rule.height : 0) +
      (rule.urgent * (tails[task.index] ?? 0)) / longest +
      (rule.busy * (workAt.get(task.station) ?? 0)) / work +
      (task.tools.some((tool) => last?.tools.includes(tool)) ? rule.tools : 0) +
      rule.alike * nextInRow(last, task) +
      (opens.has(task) ? -rule.shut : 0) +
      (shuts.some(([from, way]) => done.has(from) && way.has(task)) ? rule.shut : 0) +
      (rule.chance === 0 ? 0 : rule.chance * uniformFloat64(random))
    );
  };
  return inOrder(
    net.tasks,
    (task) => task.before,
    (ready) => {
      let best = ready[0];
      let most = -Infinity;
      for (const task of ready) {
        const thought = score(task);
        if (thought > most) [best, most] = [task, thought];
      }
      if (!best) return best;
      done.add(best);
      workAt.set(best.station, (workAt.get(best.station) ?? 0) - best.minutes);
      if (best.operation.height !== 'either') height = best.operation.height;
      last = best;
      return best;
    },
  );
}

/**
 * Puts `tasks` in an order that respects edges and stages: `next` picks from those that are ready. Edges from tasks not
 * among them are taken as satisfied.
 */
export function inOrder(
  tasks: readonly Task[],
  waitsFor: (task: Task) => readonly Task[],
  next: (ready: readonly Task[]) => Task | undefined,
): readonly Task[] {
  const among = new Set(tasks);
  const waits = new Map(tasks.map((task) => [task, waitsFor(task).filter((first) => among.has(first)).length]));
  const inStage = new Map<number, number>();
  for (const { stage } of tasks) inStage.set(stage, (inStage.get(stage) ?? 0) + 1);
  const stages = [...inStage.keys()].sort((one, other) => one - other);
  const ready = new Set(tasks.filter((task) => waits.get(task) === 0));
  const order: Task[] = [];
  while (order.length < tasks.length) {
    while (stages[0] !== undefined && inStage.get(stages[0]) === 0) stages.shift();
    const task = next([...ready].filter(({ stage }) => stage === stages[0]));
    if (!task) throw new RangeError('Stages of a school go against what has to come first.');
    ready.delete(task);
    order.push(task);
    inStage.set(task.stage, (inStage.get(task.stage) ?? 1) - 1);
    for (const then of task.after) {
      const left = waits.get(then);
      if (left === undefined) continue;
      waits.set(then, left - 1);
      if (left === 1) ready.add(then);
    }
  }
  return order;
}
