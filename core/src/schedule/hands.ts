import { STATIONS } from '../connection-map/index.js';
import type { Absence } from './crew.js';
import type { Task, TaskNet } from './task.js';

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

/** The hands of the crew while a schedule is built: who is free when, and who takes a task. */
export class Hands {
  readonly #people: readonly Person[];
  /** Who takes the task in hand. */
  readonly chosen: Person[] = [];

  constructor({ problem: { crew, standing }, toolCount }: TaskNet) {
    this.#people = crew.hands.map(({ name, away = [] }, index) => {
      const station = standing?.get(name);
      return new Person(
        index,
        [...away].sort((one, other) => one.fromMin - other.fromMin),
        station === undefined ? -1 : STATIONS.indexOf(station),
        toolCount,
      );
    });
  }

  reset(): void {
    for (const person of this.#people) person.reset();
  }

  /**
   * The first minute from `from` on at which `hands` people are there for `minutes` on end, and who they are. Where that many are
   * never there together again, as many as are.
   */
  startWith(task: Task, hands: number, minutes: number, from: number): number {
    // Setting the length costs a call into the engine each time.
    while (this.chosen.length > 0) this.chosen.pop();
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
    const { chosen } = this;
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

function better(person: Person, than: Person, station: number): boolean {
  const here = person.station === station;
  if (here !== (than.station === station)) return here;
  return person.freeAt > than.freeAt;
}
