/** Rings for whoever listens to a job as soon as something was written to it. */
export class Bell {
  readonly #listeners = new Map<string, Set<() => void>>();

  /** Calls `tell` whenever something was written to `job`, until what is returned is called. */
  listen(job: string, tell: () => void): () => void {
    const listeners = this.#listeners.get(job) ?? new Set();
    this.#listeners.set(job, listeners);
    listeners.add(tell);
    return () => {
      listeners.delete(tell);
      if (listeners.size === 0 && this.#listeners.get(job) === listeners) this.#listeners.delete(job);
    };
  }

  ring(job: string): void {
    for (const tell of this.#listeners.get(job) ?? []) tell();
  }
}
