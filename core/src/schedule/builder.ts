import { MOVING, STATIONS, type MachineHeight, type StepHeight } from '../connection-map/index.js';
import type { Absence } from './crew.js';
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

/** Something that is in motion, or that hands are at, and until when. */
interface Busy {
  untilMin: number;
  by: Task | undefined;
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
  /** Until when each thing that may move is in motion, and until when somebody’s hands are at it, and who. */
  readonly #moved: Busy[] = MOVING.map(() => ({ untilMin: 0, by: undefined }));
  readonly #handled: Busy[] = MOVING.map(() => ({ untilMin: 0, by: undefined }));
  #held: Held = { is: 'nothing' };
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
    for (const busy of [...this.#moved, ...this.#handled]) {
      busy.untilMin = 0;
      busy.by = undefined;
    }
    let height = problem.height;
    let carrying = problem.carrying ?? 0;
    /** Nothing begins before it: the last time everybody had stopped. */
    let stopped = 0;
    let stoppedFor: Held = { is: 'nothing' };
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
      const clear = this.clearFrom(task);
      if (clear > from) from = clear;
      const places = this.#places[task.station] ?? [];
      const roomy = task.waiting ? 0 : this.roomFrom(places, hands);
      if (roomy > from) from = roomy;
      let minutes = task.minutes;
      for (let next = task.then; next; next = next.then) {
        const ready = Math.max(
          next.notBefore,
          this.clearFrom(next),
          this.roomFrom(this.#places[next.station] ?? [], hands),
        );
        if (ready - minutes > from) from = ready - minutes;
        minutes += next.minutes;
      }

      const start = this.startWith(task, hands, minutes, from);
      this.#held = { is: 'nothing' };
      if (this.#placed)
        this.#held = this.heldBy(task, start, from, { stopped, stoppedFor, busyMin, last, roomy, clear });
      if (this.#chosen.length < hands) shortHanded += 1;
      let begin = start;
      for (let now: Task | undefined = task; now; now = now.then) {
        const end: number = begin + now.minutes;
        this.#placed?.push({
          task: now,
          held: now === task ? this.#held : { is: 'run', by: task },
          startMin: begin,
          endMin: end,
          people: this.#chosen.map(({ index }) => index),
          height,
        });
        let lead = true;
        for (const person of this.#chosen) {
          const came = person.last;
          const moved = person.goTo(now.station);
          if (moved) stationMoves += 1;
          else if (lead && came && came.station === now.station) jumps += jumpBetween(came, now);
          if (lead) toolFetches += person.takeUp(now.tools);
          lead = false;
          person.freeAt = end;
          person.last = now;
        }
        if (!now.waiting) this.occupy(this.#places[now.station] ?? [], now, hands, begin, end);
        this.move(now, end);
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
    const objective =
      finishMin +
      heightChanges * weights.heightChangeMin +
      stationMoves * weights.stationMoveMin +
      toolFetches * weights.toolFetchMin +
      jumps * (weights.jumpMin ?? 0) +
      shortHanded * SHORT_HANDED_MIN;
    return { finishMin, heightChanges, stationMoves, toolFetches, jumps, shortHanded, objective };
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

  /** When nobody’s hands are at what `task` moves, and nothing moves that its hands are at. */
  private clearFrom({ moves, at }: Task): number {
    if ((moves | at) === 0) return 0;
    let from = 0;
    for (let bit = 0; bit < this.#moved.length; bit += 1) {
      const mask = 1 << bit;
      if ((moves & mask) !== 0)
        from = Math.max(from, this.#moved[bit]?.untilMin ?? 0, this.#handled[bit]?.untilMin ?? 0);
      else if ((at & mask) !== 0) from = Math.max(from, this.#moved[bit]?.untilMin ?? 0);
    }
    return from;
  }

  /** Until `endMin` what `task` moves is in motion, and hands are at what it is done at. */
  private move(task: Task, endMin: number): void {
    if ((task.moves | task.at) === 0) return;
    for (let bit = 0; bit < this.#moved.length; bit += 1) {
      if ((task.moves & (1 << bit)) !== 0) extend(this.#moved[bit], task, endMin);
      if ((task.at & (1 << bit)) !== 0) extend(this.#handled[bit], task, endMin);
    }
  }

  /** Who keeps `task` from being clear before `start`. */
  private inTheWay({ moves, at }: Task, start: number): Task | undefined {
    for (let bit = 0; bit < this.#moved.length; bit += 1) {
      const [moved, handled] = [this.#moved[bit], this.#handled[bit]];
      if (((moves | at) & (1 << bit)) !== 0 && moved?.untilMin === start) return moved.by;
      if ((moves & (1 << bit)) !== 0 && handled?.untilMin === start) return handled.by;
    }
    return undefined;
  }

  /** Takes room from `start` to `end`: the place that has been free for the shortest time, or all for two people. */
  private occupy(places: readonly Place[], task: Task, hands: number, start: number, end: number): void {
    let taken: Place | undefined;
    for (const place of places) {
      if (hands > 1) {
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
      const busy = this.#chosen.find(({ freeAt }) => freeAt === start);
      return busy?.last ? { is: 'hands', by: busy.last } : { is: 'away' };
    }
    const earlier = task.before.find(({ endMin }) => endMin === start);
    if (earlier) return { is: 'after', by: earlier };
    if (start === 0) return { is: 'nothing' };
    if (start === now.stopped) return now.stoppedFor;
    if (task.exclusive && start === now.busyMin && now.last) return { is: 'everybody', by: now.last };
    if (start === now.clear) {
      const by = this.inTheWay(task, start);
      if (by) return { is: 'clear', by };
    }
    const crowd = this.#places[task.station]?.find(({ freeAt }) => freeAt === start)?.last;
    return start === now.roomy && crowd ? { is: 'room', by: crowd } : { is: 'arranged' };
  }

  /**
   * The first minute from `from` on at which `hands` people are there for `minutes` on end, and who they are. Where that many are
   * never there together again, as many as are.
   */
  private startWith(task: Task, hands: number, minutes: number, from: number): number {
    const chosen = this.#chosen;
    chosen.length = 0;
    if (hands === 0) return from;
    let start = Infinity;
    for (let wanted = hands; wanted > 0 && start === Infinity; wanted -= 1) {
      start = this.together(from, minutes, wanted);
      if (start < Infinity) this.choose(start, task.station, minutes, wanted);
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
  private choose(start: number, station: number, minutes: number, wanted: number): void {
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

function extend(busy: Busy | undefined, by: Task, endMin: number): void {
  if (!busy || endMin < busy.untilMin) return;
  busy.untilMin = endMin;
  busy.by = by;
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
