import { totalMinutes, type Setup } from './setups.js';
import type { Costs, Held, Placed } from './builder.js';
import { helpCalls, type HelpCall } from './help.js';
import type { MachineHeight } from '../connection-map/index.js';
import type { Operation, OperationId } from '../teardown/index.js';
import { stopsEverybody, type TaskNet } from './task.js';

/** One operation in a schedule: when, by whom, and how the machine stands for it. Minutes of working time from now. */
export interface ScheduledStep {
  readonly operation: Operation;
  readonly startMin: number;
  readonly endMin: number;
  /** Names out of the crew; nobody where somebody from outside does it. */
  readonly people: readonly string[];
  readonly height: MachineHeight;
  readonly cause: Cause;
}

/** What keeps a step from beginning earlier: which kind of thing, and the step that is to blame, if one is. */
export interface Cause {
  readonly is: Held['is'];
  readonly step?: OperationId;
}

/** A list of steps to work by, and before which of them the machine is moved although they could be done as it stands. */
export interface WorkOrder {
  readonly order: readonly OperationId[];
  readonly moveFirst?: readonly OperationId[] | undefined;
}

/** A plan of work: every step with its time and people, in the order they begin, and what it comes to. */
export interface Schedule {
  readonly steps: readonly ScheduledStep[];
  readonly costs: Costs;
  /** The list it was built from: the same list gives the same plan. */
  readonly listed: WorkOrder;
  /** Minutes people stand by, all of the crew together, from the beginning to the finish. */
  readonly waitingMin: number;
  /** When somebody has to lend a second pair of hands. */
  readonly help: readonly HelpCall[];
}

/** A schedule as the crew reads it. `placed` is in list order; it is given in the order of beginnings. */
export function scheduleOf(
  net: TaskNet,
  { costs, placed }: { readonly costs: Costs; readonly placed: readonly Placed[] },
): Schedule {
  const { hands } = net.problem.crew;
  const listed = placed.map(({ task, held, startMin, endMin, people, height }): ScheduledStep => ({
    operation: task.operation,
    startMin,
    endMin,
    people: people.map((index) => hands[index]?.name ?? ''),
    height,
    cause: { is: held.is, ...(held.by ? { step: held.by.operation.id } : {}) },
  }));
  const steps = listed
    .map((step, index) => ({ step, index }))
    .sort((one, other) => one.step.startMin - other.step.startMin || one.index - other.index)
    .map(({ step }) => step);
  const busy = steps.reduce((sum, { startMin, endMin, people }) => sum + (endMin - startMin) * people.length, 0);
  const there = hands.reduce(
    (sum, { away = [] }) =>
      sum +
      costs.finishMin -
      away.reduce(
        (gone, { fromMin, untilMin = Infinity }) =>
          gone + Math.max(0, Math.min(untilMin, costs.finishMin) - Math.min(fromMin, costs.finishMin)),
        0,
      ),
    0,
  );
  return {
    steps,
    costs,
    listed: asOrder(listed, net.problem.height),
    waitingMin: Math.max(0, there - busy),
    help: helpCalls(steps),
  };
}

/** `schedule`, begun with the machine at `height`, as a list of its steps in the order they begin. */
export function workOrderOf({ steps }: Schedule, height: MachineHeight): WorkOrder {
  return asOrder(steps, height);
}

function asOrder(steps: readonly ScheduledStep[], height: MachineHeight): WorkOrder {
  let standing = height;
  const moveFirst = steps.flatMap(({ operation, height: stands }) => {
    const moved = stands !== standing && operation.height === 'either';
    standing = stands;
    return moved ? [operation.id] : [];
  });
  const order = steps.map(({ operation }) => operation.id);
  return moveFirst.length > 0 ? { order, moveFirst } : { order };
}

const isWait = ({ operation }: ScheduledStep): boolean => operation.kind === 'wait';

/** A setup of a schedule: who is at it, and from when to when. */
export interface CrewSetup extends Setup {
  readonly people: readonly string[];
  readonly startMin: number;
  readonly endMin: number;
  readonly steps: readonly ScheduledStep[];
}

/**
 * Cuts a schedule into setups, in the order they begin: runs of steps that the same lead does at one station and
 * machine height. What two do together belongs to the setup of whoever leads it. What stops everybody ends every setup,
 * so that nobody reads past a hold point. What only waits is told where it begins.
 */
export function crewSetups({ steps }: Schedule, height: MachineHeight): readonly CrewSetup[] {
  const open = new Map<string, ScheduledStep[]>();
  const runs: ScheduledStep[][] = [];
  /** What waits before anybody has begun. */
  const early: ScheduledStep[] = [];
  let stopped = false;
  for (const step of steps) {
    if (isWait(step)) {
      (runs.at(-1) ?? early).push(step);
      continue;
    }
    const stops = stopsEverybody(step.operation);
    if (stops !== stopped) open.clear();
    stopped = stops;
    const lead = step.people[0] ?? '';
    const run = open.get(lead);
    const last = run?.at(-1);
    if (run && last && last.operation.station === step.operation.station && last.height === step.height) run.push(step);
    else {
      const fresh = [step, ...early.splice(0)];
      runs.push(fresh);
      open.set(lead, fresh);
    }
    // Whoever helps has left the setup of their own.
    for (const helper of step.people.slice(1)) open.delete(helper);
  }
  if (early.length > 0) runs.push(early);
  let standing = height;
  return runs.map((run): CrewSetup => {
    const [first] = run;
    const operations = run.map(({ operation }) => operation);
    const worked = run.filter((step) => !isWait(step));
    const stands = first?.height ?? standing;
    const moveMachine = stands !== standing;
    standing = stands;
    return {
      height: stands,
      station: first?.operation.station ?? 'bay-top',
      moveMachine,
      operations,
      tools: [...new Set(operations.flatMap(({ tools }) => tools))],
      hands: operations.some(({ hands }) => hands === 2) ? 2 : 1,
      minutes: totalMinutes(worked.map(({ operation }) => operation)),
      people: [...new Set(run.flatMap(({ people }) => people))],
      startMin: first?.startMin ?? 0,
      endMin: Math.max(...(worked.length > 0 ? worked : run).map(({ endMin }) => endMin)),
      steps: run,
    };
  });
}
