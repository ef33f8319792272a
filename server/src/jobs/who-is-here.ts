import { SAID_EVERY_MS, type HereNow, type SomebodyHere } from '@brisk/contracts/here';

/** Pages that may be open on one job at once; more than any shed has. */
const MOST_HERE = 64;

/** Who is at which job and step; kept in memory, since after a restart everybody says it anew. */
export class WhoIsHere {
  readonly #jobs = new Map<string, Map<string, { readonly said: HereNow; readonly atMs: number }>>();

  constructor(private readonly now: () => Date) {}

  /** Takes note of what a page says. Returns whether that is news to the others. */
  say(job: string, said: HereNow): boolean {
    const here = this.#current(job);
    const before = here.get(said.page);
    if (!before && here.size >= MOST_HERE) return false;
    here.set(said.page, { said, atMs: this.now().getTime() });
    this.#jobs.set(job, here);
    return before?.said.by !== said.by || before.said.step !== said.step;
  }

  /** Takes note that a page has gone. Returns whether it was there. */
  gone(job: string, page: string): boolean {
    return this.#jobs.get(job)?.delete(page) ?? false;
  }

  /** Everybody at `job`, in the order they came. */
  at(job: string): readonly SomebodyHere[] {
    return [...this.#current(job).values()].map(({ said }) => said);
  }

  /** Where somebody is, with words that are others as soon as it is others. */
  everywhere(): Readonly<Record<string, string>> {
    return Object.fromEntries(
      [...this.#jobs.keys()].flatMap((job) => {
        const here = this.at(job);
        return here.length > 0 ? [[job, JSON.stringify(here)]] : [];
      }),
    );
  }

  #current(job: string): Map<string, { readonly said: HereNow; readonly atMs: number }> {
    const since = this.now().getTime() - 2 * SAID_EVERY_MS;
    const here = new Map([...(this.#jobs.get(job) ?? [])].filter(([, { atMs }]) => atMs > since));
    if (here.size > 0) this.#jobs.set(job, here);
    else this.#jobs.delete(job);
    return here;
  }
}
