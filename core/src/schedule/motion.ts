import { MOVING } from '../connection-map/index.js';
import type { Task } from './task.js';

/** Until when each thing that may move is busy in one way, and with which task. */
class Busy {
  readonly untilMin = new Float64Array(MOVING.length);
  readonly by: (Task | undefined)[] = MOVING.map(() => undefined);

  reset(): void {
    this.untilMin.fill(0);
    this.by.fill(undefined);
  }

  /** The last minute at which any thing of `bits` is busy so. */
  until(bits: number): number {
    let untilMin = 0;
    for (let left = bits; left !== 0; left &= left - 1) {
      const busyMin = this.untilMin[lowest(left)] ?? 0;
      if (busyMin > untilMin) untilMin = busyMin;
    }
    return untilMin;
  }

  /** What keeps a thing of `bits` busy up to `minute`. */
  upTo(bits: number, minute: number): Task | undefined {
    for (let left = bits; left !== 0; left &= left - 1)
      if (this.untilMin[lowest(left)] === minute) return this.by[lowest(left)];
    return undefined;
  }

  extend(bits: number, by: Task, endMin: number): void {
    for (let left = bits; left !== 0; left &= left - 1) {
      const index = lowest(left);
      if (endMin < (this.untilMin[index] ?? 0)) continue;
      this.untilMin[index] = endMin;
      this.by[index] = by;
    }
  }
}

/** What is in motion while a schedule is built, and what hands are at: the two keep clear of each other. */
export class Motion {
  readonly #moved = new Busy();
  readonly #handled = new Busy();

  reset(): void {
    this.#moved.reset();
    this.#handled.reset();
  }

  /** When nobody’s hands are at what `task` moves, and nothing moves that its hands are at. */
  clearFrom({ moves, at }: Task): number {
    return Math.max(this.#moved.until(moves | at), this.#handled.until(moves));
  }

  /** Until `endMin` what `task` moves is in motion, and hands are at what it is done at. */
  move(task: Task, endMin: number): void {
    this.#moved.extend(task.moves, task, endMin);
    this.#handled.extend(task.at, task, endMin);
  }

  /** Who keeps `task` from being clear before `start`. */
  inTheWay({ moves, at }: Task, start: number): Task | undefined {
    return this.#moved.upTo(moves | at, start) ?? this.#handled.upTo(moves, start);
  }
}

/** The place of the lowest of `bits`. */
function lowest(bits: number): number {
  return 31 - Math.clz32(bits & -bits);
}
