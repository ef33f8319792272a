import type { Task } from './task.js';

/** Room for one at a station. */
interface Place {
  freeAt: number;
  last: Task | undefined;
}

/** The places at each station while a schedule is built, and when each is free again. */
export class Room {
  readonly #places: readonly (readonly Place[])[];

  /** `room` is how many find room at each station. */
  constructor(room: readonly number[]) {
    this.#places = room.map((places) => Array.from({ length: places }, () => ({ freeAt: 0, last: undefined })));
  }

  reset(): void {
    for (const places of this.#places)
      for (const place of places) {
        place.freeAt = 0;
        place.last = undefined;
      }
  }

  /** When there is room at a station for `hands` people: beside one other, or the whole place for two. */
  from(station: number, hands: number): number {
    let first = Infinity;
    let last = 0;
    for (const { freeAt } of this.#places[station] ?? []) {
      if (freeAt < first) first = freeAt;
      if (freeAt > last) last = freeAt;
    }
    return hands > 1 ? last : first;
  }

  /** Takes room for `task` from `start` to `end`: the place that has been free for the shortest time, or all for two people. */
  occupy(task: Task, hands: number, start: number, end: number): void {
    let taken: Place | undefined;
    for (const place of this.#places[task.station] ?? []) {
      if (hands > 1) {
        place.freeAt = end;
        place.last = task;
      } else if (place.freeAt <= start && (!taken || place.freeAt > taken.freeAt)) taken = place;
    }
    if (!taken) return;
    taken.freeAt = end;
    taken.last = task;
  }

  /** Who gives up a place at a station at `minute`. */
  leaves(station: number, minute: number): Task | undefined {
    return this.#places[station]?.find(({ freeAt }) => freeAt === minute)?.last;
  }
}
