import { STATIONS, type MachineHeight, type StepHeight } from '../connection-map/index.js';
import type { Absence } from './crew.js';
import type { Task, TaskNet } from './task.js';

/** What an order comes to. All in minutes or plain counts. */
export interface Costs {
  readonly finishMin: number;
  readonly heightChanges: number;
  readonly stationMoves: number;
  readonly toolFetches: number;
  /** How many steps are done with fewer hands than they want, although more could be there at another time. */
  readonly shortHanded: number;
  /** Finish plus everything the crew counts against an order. */
  readonly objective: number;
}

/** What kept a task from beginning earlier, and the task that is to blame, if one is. */
export interface Held {
  readonly is: 'after' | 'hands' | 'room' | 'machine' | 'everybody' | 'arranged' | 'away' | 'nothing';
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

/** Work for two that one has to do is as bad as an hour lost: somebody has to be fetched. */
const SHORT_HANDED_MIN = 60;

/** One of the crew while a schedule is built. */
class Person {
  freeAt = 0;
  station = -1;
  /** What this person did last. */
  last: Task | undefined;
  /** Counts the setups of this person; a tool used in this one or the one before is at hand. */
  setup = 0;
  readonly #lastUse: Int32Array;

  constructor(
    readonly index: number,
    private readonly away: readonly Absence[],
    private readonly standing: number,
    tools: number,
  ) {
    this.#lastUse = new Int32Array(tools).fill(-9);
  }

  reset(): void {
    this.freeAt = 0;
    this.last = undefined;
    this.station = this.standing;
    this.setup += 2;
  }

  /** The first minute from `from` on at which this person is there for `minutes` on end; Infinity when never. */
  firstFree(from: number, minutes: number): number {
    let start = from > this.freeAt ? from : this.freeAt;
    for (const { fromMin, untilMin = Infinity } of this.away)
      if (start + minutes > fromMin && start < untilMin) start = untilMin;
    return start;
  }

  /** Walks to `station`, and says whether that was a move. */
  goTo(station: number): boolean {
    if (this.station === station) return false;
    const moved = this.station >= 0;
    this.station = station;
    this.setup += 1;
    return moved;
  }

  /** Takes up `tools`, and says how many had to be fetched. */
  takeUp(tools: readonly number[]): number {
    let fetched = 0;
    for (const tool of tools) {
      if ((this.#lastUse[tool] ?? -9) < this.setup - 1) fetched += 1;
      this.#lastUse[tool] = this.setup;
    }
    return fetched;
  }
}

/** Room for one at a station. */
interface Place {
  freeAt: number;
  last: Task | undefined;
}

/**
 * Builds schedules from orders of tasks, one task after the other at the earliest time it can begin: after what it
 * waits for, when hands are free and there is room, with the machine standing as it needs. The machine is moved only
 * when everybody has stopped, and nobody works while a hold point is signed or the load hangs. Any schedule, its tasks
 * listed by their beginning, is built again from that list, or better, as long as nobody goes away in between and the
 * tasks before which the machine was moved early are marked `moveFirst`.
 */
export class ScheduleBuilder {
  readonly #people: readonly Person[];
  /** When each place at a station is free again. */
  readonly #places: readonly (readonly Place[])[];
  readonly #chosen: Person[] = [];
  #placed: Placed[] | undefined;

  constructor(private readonly net: TaskNet) {
    const { crew, standing } = net.problem;
    this.#people = crew.hands.map(({ name, away = [] }, index) => {
      const station = standing?.get(name);
      return new Person(
        index,
        [...away].sort((one, other) => one.fromMin - other.fromMin),
        station === undefined ? -1 : STATIONS.indexOf(station),
        net.toolCount,
      );
    });
    this.#places = net.room.map((room) => Array.from({ length: room }, () => ({ freeAt: 0, last: undefined })));
  }

  /** What `order`, a list in which every task comes after all it waits for, comes to. */
  costs(order: readonly Task[]): Costs {
    const { problem } = this.net;
    const { weights, moveMachineMin } = problem.crew;
    for (const person of this.#people) person.reset();
    for (const places of this.#places) for (const place of places) this.clear(place);
    let height = problem.height;
    let carrying = problem.carrying ?? 0;
    /** Nothing begins before it: the last time everybody had stopped. */
    let stopped = 0;
    let stoppedFor: Held = { is: 'nothing' };
    let last: Task | undefined;
    let finishMin = 0;
    let heightChanges = 0;
    let stationMoves = 0;
    let toolFetches = 0;
    let shortHanded = 0;

    let place = -1;
    for (const task of order) {
      place += 1;
      const { operation, minutes } = task;
      const wanted = operation.height === 'either' && task.moveFirst ? wantedAhead(order, place) : operation.height;
      if (carrying === 0 && wanted !== 'either' && wanted !== height) {
        height = wanted;
        heightChanges += 1;
        stopped = finishMin + moveMachineMin;
        stoppedFor = last ? { is: 'machine', by: last } : { is: 'machine' };
        finishMin = stopped;
      }
      let from = Math.max(stopped, task.notBefore);
      for (const earlier of task.before) if (earlier.endMin > from) from = earlier.endMin;
      if (task.exclusive && finishMin > from) from = finishMin;
      const places = this.#places[task.station] ?? [];
      const roomy = this.roomFrom(places, task.hands);
      if (roomy > from) from = roomy;

      const start = this.startWith(task, from);
      const end = start + minutes;
      if (this.#placed) {
        const held = this.heldBy(task, start, from, { stopped, stoppedFor, finishMin, last, roomy });
        this.#placed.push({
          task,
          held,
          startMin: start,
          endMin: end,
          people: this.#chosen.map(({ index }) => index),
          height,
        });
      }
      if (this.#chosen.length < task.hands) shortHanded += 1;
      let lead = true;
      for (const person of this.#chosen) {
        if (person.goTo(task.station)) stationMoves += 1;
        if (lead) toolFetches += person.takeUp(task.tools);
        lead = false;
        person.freeAt = end;
        person.last = task;
      }
      this.occupy(places, task, start, end);
      task.endMin = end;
      if (end >= finishMin) {
        finishMin = end;
        last = task;
      }
      if (task.exclusive) {
        stopped = end;
        stoppedFor = { is: 'everybody', by: task };
      }
      if (task.load !== undefined) carrying = loaded(carrying, task.load, this.net.gear);
    }
    const objective =
      finishMin +
      heightChanges * weights.heightChangeMin +
      stationMoves * weights.stationMoveMin +
      toolFetches * weights.toolFetchMin +
      shortHanded * SHORT_HANDED_MIN;
    return { finishMin, heightChanges, stationMoves, toolFetches, shortHanded, objective };
  }

  /** The schedule that `order` comes to, in the order given. */
  build(order: readonly Task[]): { readonly costs: Costs; readonly placed: readonly Placed[] } {
    this.#placed = [];
    const costs = this.costs(order);
    const placed = this.#placed;
    this.#placed = undefined;
    return { costs, placed };
  }

  /** When there is room for `hands` people: beside one other, or the whole place for two. */
  private roomFrom(places: readonly Place[], hands: number): number {
    let first = Infinity;
    let last = 0;
    for (const { freeAt } of places) {
      if (freeAt < first) first = freeAt;
      if (freeAt > last) last = freeAt;
    }
    return hands > 1 ? last : first;
  }

  /** Takes room from `start` to `end`: the place that has been free for the shortest time, or all for two people. */
  private occupy(places: readonly Place[], task: Task, start: number, end: number): void {
    let taken: Place | undefined;
    for (const place of places) {
      if (task.hands > 1) {
        place.freeAt = end;
        place.last = task;
      } else if (place.freeAt <= start && (!taken || place.freeAt > taken.freeAt)) taken = place;
    }
    if (!taken) return;
    taken.freeAt = end;
    taken.last = task;
  }

  private clear(place: Place): void {
    place.freeAt = 0;
    place.last = undefined;
  }

  /** Why `task` begins at `start` and not earlier; `from` is when it could have begun with hands to do it. */
  private heldBy(
    task: Task,
    start: number,
    from: number,
    now: { stopped: number; stoppedFor: Held; finishMin: number; last: Task | undefined; roomy: number },
  ): Held {
    if (start > from) {
      const busy = this.#chosen.find(({ freeAt }) => freeAt === start);
      return busy?.last ? { is: 'hands', by: busy.last } : { is: 'away' };
    }
    const earlier = task.before.find(({ endMin }) => endMin === start);
    if (earlier) return { is: 'after', by: earlier };
    if (start === 0) return { is: 'nothing' };
    if (start === now.stopped) return now.stoppedFor;
    if (task.exclusive && start === now.finishMin && now.last) return { is: 'everybody', by: now.last };
    const crowd = this.#places[task.station]?.find(({ freeAt }) => freeAt === start)?.last;
    return start === now.roomy && crowd ? { is: 'room', by: crowd } : { is: 'arranged' };
  }

  /**
   * The first minute from `from` on at which the hands `task` takes are there, and who they are. Where that many are
   * never there together again, as many as are.
   */
  private startWith(task: Task, from: number): number {
    const { minutes } = task;
    const chosen = this.#chosen;
    chosen.length = 0;
    if (task.hands === 0) return from;
    let start = Infinity;
    for (let wanted = task.hands; wanted > 0 && start === Infinity; wanted -= 1) {
      start = this.together(from, minutes, wanted);
      if (start < Infinity) this.choose(start, task, wanted);
    }
    if (start === Infinity) throw new RangeError('Nobody of the crew is there any more.');
    return start;
  }

  /** The first minute at which `wanted` people are free for `minutes` on end. */
  private together(from: number, minutes: number, wanted: number): number {
    let start = from;
    for (;;) {
      let there = 0;
      let next = Infinity;
      for (const person of this.#people) {
        const free = person.firstFree(start, minutes);
        if (free <= start) there += 1;
        else if (free < next) next = free;
      }
      if (there >= wanted || next === Infinity) return there >= wanted ? start : Infinity;
      start = next;
    }
  }

  /** Of those free at `start`: who stands there already, then who has been free for the shortest time. */
  private choose(start: number, { minutes, station }: Task, wanted: number): void {
    const chosen = this.#chosen;
    while (chosen.length < wanted) {
      let best: Person | undefined;
      for (const person of this.#people) {
        if (chosen.includes(person) || person.firstFree(start, minutes) > start) continue;
        if (!best || better(person, best, station)) best = person;
      }
      if (!best) return;
      chosen.push(best);
    }
  }
}

/** How the first task from `place` on that does not go either way wants the machine, unless gear takes the weight before. */
function wantedAhead(order: readonly Task[], place: number): StepHeight {
  for (let ahead = place; ahead < order.length; ahead += 1) {
    const task = order[ahead];
    if (task && (task.operation.height !== 'either' || task.load !== undefined)) return task.operation.height;
  }
  return 'either';
}

function better(person: Person, than: Person, station: number): boolean {
  const here = person.station === station;
  if (here !== (than.station === station)) return here;
  return person.freeAt > than.freeAt;
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
