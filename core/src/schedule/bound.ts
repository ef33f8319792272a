import { MOVING } from '../connection-map/index.js';
import { tailsOf } from './starts.js';
import type { Task, TaskNet } from './task.js';
import { precedes } from './task.js';

/** What no schedule of a net can be better than. Minutes, or plain counts. */
export interface Bound {
  readonly finishMin: number;
  readonly heightChanges: number;
  readonly stationMoves: number;
  readonly toolFetches: number;
  readonly jumps: number;
  readonly objective: number;
}

/**
 * A lower bound on finish and objective. Work is cut at gates, the tasks that everything else comes before or after:
 * their minutes add up. Between two gates nothing is quicker than the longest chain, than all work over all hands
 * (with what must run before and after: Carlier 1982), than the work of one station over its room, or than work on the
 * ground and work in the air one after the other. Moving the machine stops everybody, so its minutes come on top; the
 * least number of moves comes from the chains. Whoever is in a run is busy until all of it is done, and what is done at a
 * thing never meets what moves it. What only waits counts in the longest chain of all, and not in between,
 * where the machine may be moved meanwhile. Every station not yet stood at costs a walk, every tool a fetch.
 */
export function boundOf(net: TaskNet): Bound {
  const { problem } = net;
  // Where somebody goes away, work for two may be left to one.
  const short = problem.crew.hands.some(({ away = [] }) => away.length > 0);
  const worked = net.tasks.filter(({ waiting }) => !waiting);
  const tasks = short ? worked.map((task) => ({ ...task, handsHeld: Math.min(task.handsHeld, 1) })) : worked;
  const { weights, moveMachineMin, hands } = problem.crew;
  const stands = standsOf(net);
  const heightChanges = fewestHeightChanges(net, stands);
  const gates = tasks
    .filter((task) => tasks.every((other) => other === task || precedes(task, other) || precedes(other, task)))
    .sort((one, other) => (precedes(one, other) ? -1 : 1));
  const stretches = [...gates.map((gate) => [gate]), []].flatMap((gate, index) => {
    const [before, after] = [gates[index - 1], gates[index]];
    const between = tasks.filter(
      (task) => !gates.includes(task) && (!before || precedes(before, task)) && (!after || precedes(task, after)),
    );
    return [between, gate];
  });
  const working = stretches.reduce(
    (sum, stretch, index) =>
      sum +
      (index % 2 === 0 ? betweenGates(net, stretch, stands) : stretch.reduce((all, { minutes }) => all + minutes, 0)),
    0,
  );
  const stationMoves = hands.length === 1 ? walksAlone(net, stretches) : fewestWalks(net, stretches);
  const latest = Math.max(0, ...net.tasks.map((task) => task.notBefore + task.minutes));
  const finishMin = Math.max(working + heightChanges * moveMachineMin, latest, ...tailsOf(net));
  const toolFetches = new Set(tasks.flatMap((task) => (task.hands > 0 ? task.tools : []))).size;
  // Each line at each station is begun at least once; whoever comes there begins one without a jump.
  const lines = new Set(tasks.flatMap((task) => (task.hands > 0 ? [`${task.station} ${task.line}`] : [])));
  const jumps = Math.max(0, lines.size - hands.length - stationMoves);
  return {
    finishMin,
    heightChanges,
    stationMoves,
    toolFetches,
    jumps,
    objective:
      finishMin +
      heightChanges * weights.heightChangeMin +
      stationMoves * weights.stationMoveMin +
      toolFetches * weights.toolFetchMin +
      jumps * Math.min(weights.jumpMin ?? 0, weights.stationMoveMin),
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
    (givers.length > 0 || enders.some((ender) => precedes(ender, task))) &&
    givers.every((giver) => precedes(giver, task)) &&
    takers.every((taker) => precedes(taker, task));
  return new Map(tasks.map((task) => [task, before(task) || after(task) ? task.operation.height : 'either']));
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
  const split = keptClear(net, onGround, people) + keptClear(net, inAir, people);

  let squeezed = keptClear(net, between, people);
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
    (sum, { minutes, handsHeld, exclusive }) => sum + minutes * (exclusive && people > 0 ? people : handsHeld),
    0,
  );
}

/** The least minutes for `tasks` by hands, by room at each station, and by work that two do together. */
function crowded(net: TaskNet, tasks: readonly Task[], people: number): number {
  if (tasks.length === 0) return 0;
  let least = Math.max(work(tasks, people) / people, ...tasks.map(({ minutes }) => minutes));
  net.room.forEach((room, station) => {
    const here = tasks.filter((task) => task.station === station);
    const taken = here.reduce(
      (sum, { minutes, handsHeld }) => sum + minutes * (room === 1 ? 1 : Math.max(1, handsHeld)),
      0,
    );
    least = Math.max(least, taken / room);
  });
  // Of two tasks that each take more than half of the crew, one waits for the other.
  const large = tasks.filter(({ handsHeld, exclusive }) => exclusive || handsHeld * 2 > people);
  return Math.max(least, minutesOf(large));
}

/**
 * The least minutes for `tasks` where some move what hands are at during others: those never meet, whatever else goes
 * on, so the minutes in which a thing moves and the least for what is done at it meanwhile add up.
 */
function keptClear(net: TaskNet, tasks: readonly Task[], people: number): number {
  const all = crowded(net, tasks, people);
  return MOVING.reduce((least, _, index) => {
    const bit = 1 << index;
    const moving = tasks.filter(({ moves }) => (moves & bit) !== 0);
    if (moving.length === 0) return least;
    const at = tasks.filter(
      ({ moves, at: hands, exclusive }) => exclusive || ((hands & bit) !== 0 && (moves & bit) === 0),
    );
    return Math.max(least, minutesOf(moving.filter(({ exclusive }) => !exclusive)) + crowded(net, at, people));
  }, all);
}

function minutesOf(tasks: readonly Task[]): number {
  return tasks.reduce((sum, { minutes }) => sum + minutes, 0);
}

/**
 * The fewest walks of a crew. In any window of stretches every station worked at needs somebody there, and two where
 * two work together; the crew stands at no more places than it has people when the window begins, the rest walks. The
 * windows are chosen so that this comes to most (dynamic programming over the gates).
 */
function fewestWalks({ problem }: TaskNet, stretches: readonly (readonly Task[])[]): number {
  const people = problem.crew.hands.length;
  const most = [0];
  for (let end = 1; end <= stretches.length; end += 1) {
    const wanted = new Map<number, number>();
    let best = most[end - 1] ?? 0;
    for (let begin = end - 1; begin >= 0; begin -= 1) {
      for (const { station, hands } of stretches[begin] ?? [])
        wanted.set(station, Math.max(wanted.get(station) ?? 0, hands));
      const visits = [...wanted.values()].reduce((sum, hands) => sum + hands, 0);
      best = Math.max(best, (most[begin] ?? 0) + Math.max(0, visits - people));
    }
    most.push(best);
  }
  return most.at(-1) ?? 0;
}

/** The fewest walks of somebody alone: from gate to gate by every station there is work at between them. */
function walksAlone({ problem }: TaskNet, stretches: readonly (readonly Task[])[]): number {
  const [name] = problem.crew.hands.map((hand) => hand.name);
  let here: string | undefined = name === undefined ? undefined : problem.standing?.get(name);
  let walks = 0;
  for (let index = 0; index < stretches.length; index += 2) {
    const goal = stretches[index + 1]?.find((task) => task.hands > 0)?.operation.station;
    const stations = new Set<string>(
      (stretches[index] ?? []).filter((task) => task.hands > 0).map(({ operation }) => operation.station),
    );
    const others = [...stations].filter((station) => station !== here && station !== goal).length;
    const last = goal !== undefined && (goal !== here || others > 0) ? 1 : 0;
    // Coming to the first place of all is no walk.
    const free = here === undefined && others + last > 0 ? 1 : 0;
    walks += others + last - free;
    if (goal !== undefined) here = goal;
    else if (stations.size > 0 && here === undefined) here = [...stations][0];
  }
  return walks;
}
