/** Rings for whoever listens as soon as something was written to a job. */
export class Bell {
  readonly #listeners = new Set<(job: string) => void>();

  /** Calls `tell` with the job whenever something was written to one, until what is returned is called. */
  listen(tell: (job: string) => void): () => void {
    this.#listeners.add(tell);
    return () => void this.#listeners.delete(tell);
  }

  ring(job: string): void {
    for (const tell of this.#listeners) tell(job);
  }
}
