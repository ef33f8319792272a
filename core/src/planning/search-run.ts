import {
  respects,
  scheduleOf,
  Search,
  taskNet,
  type Costs,
  type SchedulingProblem,
  type WorkOrder,
} from '../schedule/index.js';
import { keptOrder, tasksIn } from './planned.js';

/** A search as it is asked for: a problem, an order to begin with, and for how long at most. */
export interface Asked {
  readonly problem: SchedulingProblem;
  readonly from?: WorkOrder;
  readonly seed: number;
  readonly forMs: number;
}

/** How far a search has come. */
export interface Found {
  readonly plan: WorkOrder;
  readonly costs: Costs;
  readonly tried: number;
  readonly spentMs: number;
  readonly done: boolean;
}

/** How many orders are tried before the clock is looked at. */
const TRIES = 50;

/** One search, worked in slices so that whoever runs it can be told to stop between them. */
export class SearchRun {
  readonly #search: Search;
  readonly #forMs: number;
  readonly #began: number;

  constructor(
    { problem, from, seed, forMs }: Asked,
    private readonly now: () => number,
  ) {
    this.#began = now();
    this.#forMs = forMs;
    const net = taskNet(problem);
    const order = from ? tasksIn(net, from) : [];
    this.#search = new Search(net, seed, from && respects(order) ? [order] : []);
  }

  /** Searches for `ms` more and says how far it has come. */
  slice(ms: number): Found {
    const until = Math.min(this.now() + ms, this.#began + this.#forMs);
    const { net } = this.#search;
    if (net.tasks.length > 1) while (this.now() < until) this.#search.run(TRIES);
    const spentMs = this.now() - this.#began;
    return {
      plan: keptOrder(net, scheduleOf(net, this.#search.best())),
      costs: this.#search.costs,
      tried: this.#search.tried,
      spentMs,
      done: spentMs >= this.#forMs || net.tasks.length < 2,
    };
  }
}
