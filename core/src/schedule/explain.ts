import type { OperationId } from '../teardown/index.js';
import type { Schedule, ScheduledStep } from './schedule.js';
import { keepApart, type TaskNet } from './task.js';

const SAME_MIN = 1e-6;

/** One link of the chain that binds a step: it begins when it does because of `cause`. */
export interface Link {
  readonly step: ScheduledStep;
  /** In the crew’s words, where it has to come after another step. */
  readonly words?: string;
}

/** What binds the step called `id`, link by link back to where the work begins: its own first. */
export function chainOf(net: TaskNet, { steps }: Schedule, id: OperationId): readonly Link[] {
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const chain: Link[] = [];
  const seen = new Set<ScheduledStep>();
  let step = byId.get(id);
  while (step && !seen.has(step)) {
    seen.add(step);
    const { is, step: blamed } = step.cause;
    const words = is === 'after' && blamed !== undefined ? wordsFor(net, blamed, step.operation.id) : undefined;
    chain.push({ step, ...(words === undefined ? {} : { words }) });
    step = blamed === undefined ? undefined : byId.get(blamed);
  }
  return chain;
}

function wordsFor({ problem }: TaskNet, first: OperationId, then: OperationId): string | undefined {
  return problem.precedence.find(({ before, after }) => before === first && after === then)?.reason.words;
}

/**
 * How many minutes each step may slip before the finish does, everybody keeping to their order. By operation. Hold
 * points and machine moves stop everybody, so whatever comes before one has to be through by then.
 */
export function slackOf(net: TaskNet, schedule: Schedule): ReadonlyMap<OperationId, number> {
  const { steps, costs } = schedule;
  const latestEnd = new Map<ScheduledStep, number>(steps.map((step) => [step, costs.finishMin]));
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const followers = new Map<ScheduledStep, Set<ScheduledStep>>(steps.map((step) => [step, new Set()]));
  const follow = (one: ScheduledStep | undefined, other: ScheduledStep | undefined) => {
    if (one && other && one !== other) followers.get(one)?.add(other);
  };
  const lastOf = new Map<string, ScheduledStep>();
  for (const step of steps) {
    for (const earlier of net.byId.get(step.operation.id)?.before ?? []) follow(byId.get(earlier.operation.id), step);
    for (const name of step.people) {
      follow(lastOf.get(name), step);
      lastOf.set(name, step);
    }
  }
  const tasks = steps.map((step) => ({ step, task: net.byId.get(step.operation.id) }));
  tasks.forEach(({ step, task }, index) => {
    if (!task || (task.moves | task.at) === 0) return;
    for (const { step: later, task: other } of tasks.slice(index + 1))
      if (other && keepApart(task, other) && later.startMin >= step.endMin - SAME_MIN) follow(step, later);
  });
  const stretches = stretchesOf(net, steps);
  for (const [earlier, later] of roomHandedOn(net, steps)) follow(earlier, later);
  for (let index = stretches.length - 1; index >= 0; index -= 1) {
    const stretch = stretches[index] ?? { steps: [], moved: false };
    const next = stretches[index + 1];
    const stop = next
      ? Math.min(...next.steps.map((step) => (latestEnd.get(step) ?? 0) - (step.endMin - step.startMin))) -
        (next.moved ? net.problem.crew.moveMachineMin : 0)
      : costs.finishMin;
    for (const step of [...stretch.steps].sort((one, other) => other.startMin - one.startMin)) {
      let latest = stop;
      for (const later of followers.get(step) ?? [])
        latest = Math.min(latest, (latestEnd.get(later) ?? 0) - (later.endMin - later.startMin));
      latestEnd.set(step, latest);
    }
  }
  return new Map(steps.map((step) => [step.operation.id, Math.max(0, (latestEnd.get(step) ?? 0) - step.endMin)]));
}

/**
 * Which step each one has its room from: the last one there that had been gone for the shortest time, or all that were
 * there where it takes the whole place, as the plan was built.
 */
function* roomHandedOn(net: TaskNet, steps: readonly ScheduledStep[]): Iterable<[ScheduledStep, ScheduledStep]> {
  const places = net.room.map((room) => Array.from({ length: room }, (): ScheduledStep | undefined => undefined));
  for (const step of steps) {
    const task = net.byId.get(step.operation.id);
    const here = task && places[task.station];
    if (!here || task.waiting) continue;
    const freeMin = (index: number) => here[index]?.endMin ?? 0;
    const free = [...here.keys()].filter((index) => freeMin(index) <= step.startMin + SAME_MIN);
    const taken = task.handsHeld > 1 ? free : free.sort((one, other) => freeMin(other) - freeMin(one)).slice(0, 1);
    for (const index of taken) {
      const earlier = here[index];
      if (earlier) yield [earlier, step];
      here[index] = step;
    }
  }
}

/** Stretches between which everybody stops, and whether the machine is moved before each. */
function stretchesOf(net: TaskNet, steps: readonly ScheduledStep[]) {
  const stretches: { steps: ScheduledStep[]; moved: boolean }[] = [];
  let { height } = net.problem;
  let closed = true;
  for (const step of steps) {
    const exclusive = net.byId.get(step.operation.id)?.exclusive ?? false;
    const moved = step.height !== height;
    height = step.height;
    if (closed || exclusive || moved) stretches.push({ steps: [], moved });
    stretches.at(-1)?.steps.push(step);
    closed = exclusive;
  }
  return stretches;
}
