import type { Task, TaskNet } from './task.js';
import { precedes } from './task.js';

/** What no schedule of a net can be better than. Minutes, or plain counts. */
export interface Bound {
  readonly finishMin: number;
  readonly heightChanges: number;
  readonly stationMoves: number;
  readonly toolFetches: number;
  readonly objective: number;
}

/**
 * A lower bound on finish and objective. Work is cut at gates, the tasks that everything else comes before or after:
 * their minutes add up. Between two gates nothing is quicker than the longest chain, than all work over all hands
 * (with what must run before and after: Carlier 1982), than the work of one station over its room, or than work on the
 * ground and work in the air one after the other. Moving the machine stops everybody, so its minutes come on top; the
 * least number of moves comes from the chains. Every station not yet stood at costs a walk, every tool a fetch.
 */
export function boundOf(net: TaskNet): Bound {
  const { problem, tasks } = net;
  const { weights, moveMachineMin, hands } = problem.crew;
  const stands = standsOf(net);
  const heightChanges = fewestHeightChanges(net, stands);
  const gates = tasks
    .filter((task) => tasks.every((other) => other === task || precedes(task, other) || precedes(other, task)))
    .sort((one, other) => (precedes(one, other) ? -1 : 1));
  let working = 0;
  let moves = 0;
  let station = hands.length === 1 ? only([...(problem.standing?.values() ?? [])]) : undefined;
  const alone = hands.length === 1;
  for (let index = 0; index <= gates.length; index += 1) {
    const [gate, next] = [gates[index - 1], gates[index]];
    if (gate) working += gate.minutes;
    const between = tasks.filter(
      (task) =>
        task !== gate &&
        task !== next &&
        !gates.includes(task) &&
        (!gate || precedes(gate, task)) &&
        (!next || precedes(task, next)),
    );
    working += betweenGates(net, between, stands);
    if (alone) {
      const here = gate?.operation.station ?? station;
      moves += walksBetween(here, between, next);
      if (index === gates.length) break;
      station = next?.operation.station;
    }
  }
  const stations = new Set(tasks.filter((task) => task.hands > 0).map(({ operation }) => operation.station));
  const known = new Set(problem.standing?.values() ?? []);
  const fresh = [...stations].filter((place) => !known.has(place)).length;
  const unplaced = hands.filter(({ name }) => !problem.standing?.has(name)).length;
  const stationMoves = alone ? moves : Math.max(0, fresh - unplaced);
  const latest = Math.max(0, ...tasks.map((task) => task.notBefore + task.minutes));
  const finishMin = Math.max(working + heightChanges * moveMachineMin, latest);
  const toolFetches = net.toolCount;
  return {
    finishMin,
    heightChanges,
    stationMoves,
    toolFetches,
    objective:
      finishMin +
      heightChanges * weights.heightChangeMin +
      stationMoves * weights.stationMoveMin +
      toolFetches * weights.toolFetchMin,
  };
}

type Stands = 'ground' | 'raised' | 'either';

/** How the machine must stand for each task, whatever the order: while gear may carry the weight, it does not matter. */
function standsOf({ problem, tasks }: TaskNet): ReadonlyMap<Task, Stands> {
  const takers = tasks.filter(({ load }) => load === 'takes' || load === 'takes-all');
  const enders = tasks.filter(({ load }) => load === 'sets-down');
  const givers = tasks.filter(({ load }) => load === 'gives-back');
  const carrying = (problem.carrying ?? 0) > 0;
  const before = (task: Task) =>
    !carrying && takers.every((taker) => precedes(task, taker) || (task === taker && takers.length === 1));
  const after = (task: Task) =>
    enders.some((ender) => precedes(ender, task)) &&
    givers.every((giver) => precedes(giver, task)) &&
    takers.every((taker) => precedes(taker, task));
  const laterAfter = (task: Task) =>
    givers.length > 0 &&
    givers.every((giver) => precedes(giver, task)) &&
    takers.every((taker) => precedes(taker, task));
  return new Map(
    tasks.map((task) => [task, before(task) || after(task) || laterAfter(task) ? task.operation.height : 'either']),
  );
}

/** How often the machine has to be moved at least: the longest chain of tasks that want it up and down in turns. */
function fewestHeightChanges({ problem, topological }: TaskNet, stands: ReadonlyMap<Task, Stands>): number {
  const level = new Map<Task, number>();
  let most = 0;
  for (const task of topological) {
    const wants = stands.get(task);
    let reached = 0;
    for (const earlier of task.before) reached = Math.max(reached, level.get(earlier) ?? 0);
    // After an even number of moves the machine stands as it did at the beginning.
    if (wants !== 'either' && (reached % 2 === 0) !== (wants === problem.height)) reached += 1;
    level.set(task, reached);
    most = Math.max(most, reached);
  }
  return most;
}

/** The least minutes in which `between`, the tasks between two gates, can be worked. */
function betweenGates(net: TaskNet, between: readonly Task[], stands: ReadonlyMap<Task, Stands>): number {
  if (between.length === 0) return 0;
  const people = net.problem.crew.hands.length;
  const among = new Set(between);
  const heads = new Map<Task, number>();
  const tails = new Map<Task, number>();
  const ordered = net.topological.filter((task) => among.has(task));
  for (const task of ordered)
    heads.set(
      task,
      Math.max(0, ...task.before.filter((one) => among.has(one)).map((one) => (heads.get(one) ?? 0) + one.minutes)),
    );
  for (const task of [...ordered].reverse())
    tails.set(
      task,
      Math.max(0, ...task.after.filter((one) => among.has(one)).map((one) => (tails.get(one) ?? 0) + one.minutes)),
    );
  const chain = Math.max(...between.map((task) => (heads.get(task) ?? 0) + task.minutes + (tails.get(task) ?? 0)));

  const height = (wanted: Stands) => between.filter((task) => stands.get(task) === wanted);
  const onGround = height('ground');
  const inAir = height('raised');
  const split = crowded(net, onGround, people) + crowded(net, inAir, people);

  let squeezed = crowded(net, between, people);
  for (const head of new Set(heads.values())) {
    const late = between.filter((task) => (heads.get(task) ?? 0) >= head);
    for (const tail of new Set(late.map((task) => tails.get(task) ?? 0))) {
      const inner = late.filter((task) => (tails.get(task) ?? 0) >= tail);
      squeezed = Math.max(squeezed, head + work(inner) / people + tail);
    }
  }
  return Math.max(chain, split, squeezed);
}

/** Minutes of hands in `tasks`; what stops everybody takes all of them. */
function work(tasks: readonly Task[], people = 0): number {
  return tasks.reduce(
    (sum, { minutes, hands, exclusive }) => sum + minutes * (exclusive && people > 0 ? people : hands),
    0,
  );
}

/** The least minutes for `tasks` by hands, by room at each station, and by work that two do together. */
function crowded(net: TaskNet, tasks: readonly Task[], people: number): number {
  if (tasks.length === 0) return 0;
  let least = work(tasks, people) / people;
  net.room.forEach((room, station) => {
    const here = tasks.filter((task) => task.station === station);
    const taken = here.reduce((sum, { minutes, hands }) => sum + minutes * (room === 1 ? 1 : Math.max(1, hands)), 0);
    least = Math.max(least, taken / room);
  });
  // Of two tasks that each take more than half of the crew, one waits for the other.
  const large = tasks.filter(({ hands, exclusive }) => exclusive || hands * 2 > people);
  return Math.max(
    least,
    large.reduce((sum, { minutes }) => sum + minutes, 0),
  );
}

/** The fewest walks of one person from `here` by every station of `between` to the next gate. */
function walksBetween(here: string | undefined, between: readonly Task[], next: Task | undefined): number {
  const stations = new Set(
    between.filter((task) => task.hands > 0).map(({ operation }) => operation.station as string),
  );
  const goal = next && next.hands > 0 ? next.operation.station : undefined;
  const others = [...stations].filter((station) => station !== here && station !== goal).length;
  const first = here === undefined && others + (goal ? 1 : 0) > 0 ? 1 : 0;
  if (goal === undefined) return Math.max(0, others - first);
  const home = goal !== here || others > 0 ? 1 : 0;
  const there = goal !== here && stations.has(goal) ? 0 : 0;
  return Math.max(0, others + home + there - first);
}

function only<T>(items: readonly T[]): T | undefined {
  return items.length === 1 ? items[0] : undefined;
}
