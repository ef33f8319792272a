import type { MachineHeight, StepHeight } from '../connection-map/index.js';
import { Hands } from './hands.js';
import { CALL_GAP_MIN } from './help.js';
import { Motion } from './motion.js';
import { Room } from './room.js';
import type { Task, TaskNet } from './task.js';

/** What an order comes to. All in minutes or plain counts. */
export interface Costs {
  readonly finishMin: number;
  readonly heightChanges: number;
  readonly stationMoves: number;
  readonly toolFetches: number;
  /** How often somebody went on, where they stood, with something apart from what they were at; halves for one gone back in its row. */
  readonly jumps: number;
  /** How many steps are done with fewer hands than they want, although more could be there at another time. */
  readonly shortHanded: number;
  /** How often somebody has to be called to lend a hand. */
  readonly calls: number;
  /** For how long covers are off and pipes stand open to dirt, all of them together. */
  readonly openMin: number;
  /** Finish plus everything the crew counts against an order. */
  readonly objective: number;
}

/** What kept a task from beginning earlier, and the task that is to blame, if one is. */
export interface Held {
  readonly is: 'after' | 'hands' | 'room' | 'machine' | 'everybody' | 'arranged' | 'away' | 'clear' | 'run' | 'nothing';
  readonly by?: Task;
}

/** When a task is done, by whom, how the machine stands for it, and why not earlier. */
export interface Placed {
  readonly task: Task;
  readonly held: Held;
  readonly startMin: number;
  readonly endMin: number;
  /** Indices into the crew. */
  readonly people: readonly number[];
  readonly height: MachineHeight;
}

const NOTHING: Held = { is: 'nothing' };

/** Work for two that one has to do is as bad as an hour lost: somebody has to be fetched. */
const SHORT_HANDED_MIN = 60;

/** Whoever is called has to be fetched, and leaves other work. */
const CALL_MIN = 15;

/**
 * Builds schedules from orders of tasks, one task after the other at the earliest time it can begin: after what it
 * waits for, when hands are free and there is room, with the machine standing as it needs. The machine is moved only
 * when everybody has stopped, and nobody works while a hold point is signed or the load hangs. Any schedule, its tasks
 * listed by their beginning, is built again from that list, or better, as long as nobody goes away in between and the
 * tasks before which the machine was moved early are marked `moveFirst`.
 */
export class ScheduleBuilder {
  readonly #hands: Hands;
  readonly #room: Room;
  readonly #motion = new Motion();
  #held = NOTHING;
  #placed: Placed[] | undefined;

  constructor(private readonly net: TaskNet) {
    this.#hands = new Hands(net);
    this.#room = new Room(net.room);
  }

  /** What `order`, a list in which every task comes after all it waits for, comes to. */
  costs(order: readonly Task[]): Costs {
    const { problem } = this.net;
    const { weights, moveMachineMin } = problem.crew;
    const { chosen } = this.#hands;
    for (const one of [this.#hands, this.#room, this.#motion]) one.reset();
    let height = problem.height;
    let carrying = problem.carrying ?? 0;
    /** Nothing begins before it: the last time everybody had stopped. */
    let stopped = 0;
    let stoppedFor = NOTHING;
    let last: Task | undefined;
    /** Until when anybody is at work, or the machine is being moved. */
    let busyMin = 0;
    /** Until when something only waits. */
    let waitedMin = 0;
    let heightChanges = 0;
    let stationMoves = 0;
    let toolFetches = 0;
    let jumps = 0;
    let shortHanded = 0;
    let calls = 0;
    /** Until when whoever was called stays. */
    let helpedMin = -Infinity;

    let place = -1;
    for (const task of order) {
      place += 1;
      // It was put where its run begins.
      if (task.first) continue;
      const stands = standsForRun(task);
      const wanted = stands === 'either' && task.moveFirst ? wantedAhead(order, place) : stands;
      if (carrying === 0 && wanted !== 'either' && wanted !== height) {
        height = wanted;
        heightChanges += 1;
        stopped = busyMin + moveMachineMin;
        stoppedFor = last ? { is: 'machine', by: last } : { is: 'machine' };
        busyMin = stopped;
      }
      const hands = task.handsHeld;
      let from = Math.max(stopped, task.notBefore);
      for (const earlier of task.before) if (earlier.endMin > from) from = earlier.endMin;
      if (task.exclusive && busyMin > from) from = busyMin;
      const clear = this.#motion.clearFrom(task);
      if (clear > from) from = clear;
      const roomy = task.waiting ? 0 : this.#room.from(task.station, hands);
      if (roomy > from) from = roomy;
      let minutes = task.minutes;
      for (let next = task.then; next; next = next.then) {
        const ready = Math.max(next.notBefore, this.#motion.clearFrom(next), this.#room.from(next.station, hands));
        if (ready - minutes > from) from = ready - minutes;
        minutes += next.minutes;
      }

      const start = this.#hands.startWith(task, hands, minutes, from);
      this.#held = NOTHING;
      if (this.#placed)
        this.#held = this.heldBy(task, start, from, { stopped, stoppedFor, busyMin, last, roomy, clear });
      if (chosen.length < hands) shortHanded += 1;
      let begin = start;
      for (let now: Task | undefined = task; now; now = now.then) {
        const end: number = begin + now.minutes;
        if (chosen.length > 0 && now.operation.hands > chosen.length) {
          if (begin > helpedMin) calls += 1;
          helpedMin = Math.max(helpedMin, end + CALL_GAP_MIN);
        }
        this.#placed?.push({
          task: now,
          held: now === task ? this.#held : { is: 'run', by: task },
          startMin: begin,
          endMin: end,
          people: chosen.map(({ index }) => index),
          height,
        });
        let lead = true;
        for (const person of chosen) {
          const came = person.last;
          const moved = person.goTo(now.station);
          if (moved) stationMoves += 1;
          else if (lead && came && came.station === now.station) jumps += jumpBetween(came, now);
          if (lead) toolFetches += person.takeUp(now.tools);
          lead = false;
          person.freeAt = end;
          person.last = now;
        }
        if (!now.waiting) this.#room.occupy(now, hands, begin, end);
        this.#motion.move(now, end);
        now.endMin = end;
        if (now.waiting) waitedMin = Math.max(waitedMin, end);
        else if (end >= busyMin) {
          busyMin = end;
          last = now;
        }
        begin = end;
      }
      if (task.exclusive) {
        stopped = task.endMin;
        stoppedFor = { is: 'everybody', by: task };
      }
      if (task.load !== undefined) carrying = loaded(carrying, task.load, this.net.gear);
    }
    const finishMin = Math.max(busyMin, waitedMin);
    let openMin = 0;
    for (const [opened, closed] of this.net.openings)
      openMin += Math.max(0, closed.endMin - closed.minutes - opened.endMin);
    const objective =
      finishMin +
      heightChanges * weights.heightChangeMin +
      stationMoves * weights.stationMoveMin +
      toolFetches * weights.toolFetchMin +
      jumps * (weights.jumpMin ?? 0) +
      shortHanded * SHORT_HANDED_MIN +
      calls * CALL_MIN +
      openMin * (weights.openMin ?? 0);
    return { finishMin, heightChanges, stationMoves, toolFetches, jumps, shortHanded, calls, openMin, objective };
  }

  /** The schedule that `order` comes to, in the order given. */
  build(order: readonly Task[]): { readonly costs: Costs; readonly placed: readonly Placed[] } {
    this.#placed = [];
    const costs = this.costs(order);
    const placed = this.#placed;
    this.#placed = undefined;
    return { costs, placed };
  }

  /** Why `task` begins at `start` and not earlier; `from` is when it could have begun with hands to do it. */
  private heldBy(
    task: Task,
    start: number,
    from: number,
    now: {
      stopped: number;
      stoppedFor: Held;
      busyMin: number;
      last: Task | undefined;
      roomy: number;
      clear: number;
    },
  ): Held {
    if (start > from) {
      const busy = this.#hands.chosen.find(({ freeAt }) => freeAt === start);
      return busy?.last ? { is: 'hands', by: busy.last } : { is: 'away' };
    }
    const earlier = task.before.find(({ endMin }) => endMin === start);
    if (earlier) return { is: 'after', by: earlier };
    if (start === 0) return NOTHING;
    if (start === now.stopped) return now.stoppedFor;
    if (task.exclusive && start === now.busyMin && now.last) return { is: 'everybody', by: now.last };
    if (start === now.clear) {
      const by = this.#motion.inTheWay(task, start);
      if (by) return { is: 'clear', by };
    }
    const crowd = this.#room.leaves(task.station, start);
    return start === now.roomy && crowd ? { is: 'room', by: crowd } : { is: 'arranged' };
  }
}

/** How the machine has to stand for `task` and all that goes straight on from it. */
function standsForRun(task: Task): StepHeight {
  for (let now: Task | undefined = task; now; now = now.then)
    if (now.operation.height !== 'either') return now.operation.height;
  return 'either';
}

/** How far apart two steps are that somebody does one after the other at one place. */
function jumpBetween(one: Task, next: Task): number {
  if (one.line !== next.line) return 1;
  return next.inLine < one.inLine ? 0.5 : 0;
}

/** How the first task from `place` on that does not go either way wants the machine, unless gear takes the weight before. */
function wantedAhead(order: readonly Task[], place: number): StepHeight {
  for (let ahead = place; ahead < order.length; ahead += 1) {
    const task = order[ahead];
    if (task && (task.operation.height !== 'either' || task.load !== undefined)) return task.operation.height;
  }
  return 'either';
}

function loaded(carrying: number, load: NonNullable<Task['load']>, gear: number): number {
  switch (load) {
    case 'takes':
      return carrying + 1;
    case 'takes-all':
      return gear;
    case 'gives-back':
      return Math.max(0, carrying - 1);
    case 'sets-down':
      return 0;
  }
}
