import { MOVING } from '../connection-map/index.js';
import type { Task } from './task.js';

/** Something that is in motion, or that hands are at, and until when. */
interface Busy {
  untilMin: number;
  by: Task | undefined;
}

/** What is in motion while a schedule is built, and what hands are at: the two keep clear of each other. */
export class Motion {
  /** Until when each thing that may move is in motion, and until when somebody’s hands are at it, and who. */
  readonly #moved: Busy[] = MOVING.map(() => ({ untilMin: 0, by: undefined }));
  readonly #handled: Busy[] = MOVING.map(() => ({ untilMin: 0, by: undefined }));

  reset(): void {
    for (const busy of [...this.#moved, ...this.#handled]) {
      busy.untilMin = 0;
      busy.by = undefined;
    }
  }

  /** When nobody’s hands are at what `task` moves, and nothing moves that its hands are at. */
  clearFrom({ moves, at }: Task): number {
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
  move(task: Task, endMin: number): void {
    if ((task.moves | task.at) === 0) return;
    for (let bit = 0; bit < this.#moved.length; bit += 1) {
      if ((task.moves & (1 << bit)) !== 0) extend(this.#moved[bit], task, endMin);
      if ((task.at & (1 << bit)) !== 0) extend(this.#handled[bit], task, endMin);
    }
  }

  /** Who keeps `task` from being clear before `start`. */
  inTheWay({ moves, at }: Task, start: number): Task | undefined {
    for (let bit = 0; bit < this.#moved.length; bit += 1) {
      const [moved, handled] = [this.#moved[bit], this.#handled[bit]];
      if (((moves | at) & (1 << bit)) !== 0 && moved?.untilMin === start) return moved.by;
      if ((moves & (1 << bit)) !== 0 && handled?.untilMin === start) return handled.by;
    }
    return undefined;
  }
}

function extend(busy: Busy | undefined, by: Task, endMin: number): void {
  if (!busy || endMin < busy.untilMin) return;
  busy.untilMin = endMin;
  busy.by = by;
}
