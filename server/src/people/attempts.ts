import { ProblemError } from '../http/problem.js';

const MOST_WRONG = 5;
const LOCKED_MS = 15 * 60_000;
/** More than anybody mistypes in a shed: what is oldest is forgotten. */
const MOST_KEPT = 10_000;

/** Counts wrong secrets by who is meant and where it was tried, and lets nobody guess on. */
export class Attempts {
  readonly #wrong = new Map<string, { count: number; until: number }>();

  constructor(private readonly now: () => Date) {}

  /** Throws `too-often` where so many were wrong that nobody may try under `key` for now. */
  refuseGuessing(key: string): void {
    const wrong = this.#wrong.get(key);
    if (!wrong) return;
    const leftMs = wrong.until - this.now().getTime();
    if (leftMs <= 0) this.#wrong.delete(key);
    else if (wrong.count >= MOST_WRONG)
      throw new ProblemError(
        'too-often',
        `That was wrong ${MOST_WRONG} times. Nobody gets in this way for ${Math.ceil(leftMs / 60_000)} minutes; a lead may set a new PIN or passphrase. What is on this device stays on it.`,
      );
  }

  /** Counts one that was wrong. Returns how many more may be. */
  wrong(key: string): number {
    const count = (this.#wrong.get(key)?.count ?? 0) + 1;
    this.#wrong.delete(key);
    this.#wrong.set(key, { count, until: this.now().getTime() + LOCKED_MS });
    const [oldest] = this.#wrong.keys();
    if (this.#wrong.size > MOST_KEPT && oldest !== undefined) this.#wrong.delete(oldest);
    return MOST_WRONG - count;
  }

  right(key: string): void {
    this.#wrong.delete(key);
  }

  /** Forgets what was tried of one person, wherever it was. */
  forgive(person: string): void {
    for (const key of this.#wrong.keys()) if (key.startsWith(`${person}@`)) this.#wrong.delete(key);
  }
}
