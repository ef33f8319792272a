import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { ScheduleBuilder, type Costs, type Placed } from './builder.js';
import { inOrder, orderBy, RULES, type Rule } from './starts.js';
import { precedes, type Task, type TaskNet } from './task.js';

/** How many orders are tried from one warm beginning until it has cooled. */
const CYCLE = 3_000;
/** Worsening accepted when warm and when cool, as a share of the minutes a step takes. */
const WARM = 0.4;
const COOL = 0.008;
/** Longest stretch of an order that is taken apart and put together anew. */
const LONGEST_STRETCH = 24;

/**
 * A search for a better order, that can be asked for its best at any time. It begins with several rules, then changes
 * the order little by little: one step elsewhere, a run of steps elsewhere, a stretch put together anew, the machine
 * moved sooner or later; a change for the worse is accepted now and then, less often as it cools (simulated annealing:
 * Kirkpatrick, Gelatt and Vecchi 1983; schedules built serially from lists: Kolisch and Hartmann 1999). The same net and
 * seed give the same orders, however the work is cut into slices.
 */
export class Search {
  readonly #builder: ScheduleBuilder;
  readonly #random;
  #order: Task[] = [];
  #objective = 0;
  #best: readonly Task[];
  /** Before which of the best order the machine is moved early. */
  #bestMoves: ReadonlySet<Task> = new Set();
  readonly #stepMin: number;
  /** What is worked along, by its line. */
  readonly #rows = new Map<number, readonly Task[]>();
  #bestCosts: Costs;
  #tried = 0;

  /** `from`: orders to begin with besides the rules’ own, such as the plan followed so far. */
  constructor(
    readonly net: TaskNet,
    seed = 1,
    from: readonly (readonly Task[])[] = [],
  ) {
    this.#builder = new ScheduleBuilder(net);
    this.#random = xoroshiro128plus(seed);
    for (const task of net.tasks) this.#rows.set(task.line, [...(this.#rows.get(task.line) ?? []), task]);
    this.#stepMin = net.tasks.reduce((sum, { minutes }) => sum + minutes, 0) / Math.max(1, net.tasks.length);
    // Marks that are there belong to the orders to begin with.
    const marked = new Set(net.tasks.filter(({ moveFirst }) => moveFirst));
    const starts = [
      ...from.map((order) => ({ order, moves: marked })),
      ...RULES.map((rule) => ({ order: orderBy(net, rule, this.#random), moves: new Set<Task>() })),
    ].map((start) => {
      this.mark(start.moves);
      return { ...start, costs: this.#builder.costs(start.order) };
    });
    const [first, ...others] = starts;
    const best = others.reduce(
      (least, start) => (start.costs.objective < (least?.costs.objective ?? Infinity) ? start : least),
      first,
    );
    this.#best = best?.order ?? [];
    this.#bestMoves = best?.moves ?? new Set();
    this.#bestCosts = best?.costs ?? this.#builder.costs([]);
    this.goOnFromBest();
  }

  /** How many orders were tried so far. */
  get tried(): number {
    return this.#tried;
  }

  /** What the best order so far comes to. */
  get costs(): Costs {
    return this.#bestCosts;
  }

  /** The best schedule so far. */
  best(): { readonly order: readonly Task[]; readonly costs: Costs; readonly placed: readonly Placed[] } {
    const working = new Set(this.net.tasks.filter(({ moveFirst }) => moveFirst));
    this.mark(this.#bestMoves);
    const built = { order: this.#best, ...this.#builder.build(this.#best) };
    this.mark(working);
    return built;
  }

  /** Tries `tries` more orders. Returns whether the best one got better. */
  run(tries: number): boolean {
    const before = this.#bestCosts.objective;
    if (this.#order.length < 2) return false;
    for (let left = tries; left > 0; left -= 1) {
      if (this.#tried % CYCLE === 0 && this.#tried > 0) this.beginAgain();
      this.#tried += 1;
      this.step((this.#tried % CYCLE) / CYCLE);
    }
    const better = this.#bestCosts.objective < before;
    if (better) this.tidyRows();
    return better;
  }

  /** Has the best order go through each row from one end to the other, wherever that costs nothing. */
  private tidyRows(): void {
    const working = new Set(this.net.tasks.filter(({ moveFirst }) => moveFirst));
    this.mark(this.#bestMoves);
    for (const line of this.#rows.values()) {
      const single = line.filter(({ first, then }) => !first && !then);
      for (const station of new Set(single.map((task) => task.station))) {
        const row = new Set(single.filter((task) => task.station === station));
        const inRow = [...row].sort((one, other) => one.inLine - other.inLine);
        let at = 0;
        const tidy = this.#best.map((task) => (row.has(task) ? (inRow[at++] ?? task) : task));
        if (tidy.every((task, index) => task === this.#best[index]) || !respects(tidy)) continue;
        const costs = this.#builder.costs(tidy);
        if (costs.objective > this.#bestCosts.objective + 1e-9) continue;
        this.#best = tidy;
        this.#bestCosts = costs;
      }
    }
    this.mark(working);
  }

  /** Every other cycle goes on from the best; the rest begin by a rule with chance in it. */
  private beginAgain(): void {
    const cycle = Math.floor(this.#tried / CYCLE);
    if (cycle % 4 === 3) {
      const chance = (most: number) => most * uniformFloat64(this.#random);
      const rule: Rule = {
        stay: chance(4),
        height: 4 + chance(8),
        urgent: chance(5),
        busy: chance(3),
        tools: chance(1),
        alike: chance(3),
        shut: chance(6),
        chance: chance(2),
      };
      this.mark(new Set());
      this.#order = [...orderBy(this.net, rule, this.#random)];
      this.#objective = this.#builder.costs(this.#order).objective;
      this.number(0, this.#order.length);
    } else this.goOnFromBest();
  }

  private goOnFromBest(): void {
    this.mark(this.#bestMoves);
    this.#order = [...this.#best];
    this.#objective = this.#bestCosts.objective;
    this.number(0, this.#order.length);
  }

  private mark(moves: ReadonlySet<Task>): void {
    for (const task of this.net.tasks) task.moveFirst = moves.has(task);
  }

  private step(cooled: number): void {
    const undo = this.change();
    if (!undo) return;
    const costs = this.#builder.costs(this.#order);
    const temperature = this.#stepMin * WARM * (COOL / WARM) ** cooled;
    const worse = costs.objective - this.#objective;
    if (worse <= 0 || uniformFloat64(this.#random) < Math.exp(-worse / temperature)) {
      this.#objective = costs.objective;
      if (costs.objective < this.#bestCosts.objective - 1e-9) {
        this.#bestCosts = costs;
        this.#best = [...this.#order];
        this.#bestMoves = new Set(this.net.tasks.filter(({ moveFirst }) => moveFirst));
      }
    } else undo();
  }

  /** Changes something somewhere. Returns how it is put back, or undefined where nothing could be changed. */
  private change(): (() => void) | undefined {
    const kind = uniformFloat64(this.#random);
    if (kind >= 0.97) return this.moveSooner();
    const changed = kind < 0.53 ? this.shiftOne() : kind < 0.87 ? this.shiftRun() : this.stretchAnew();
    return changed && (() => this.replace(changed.from, changed.was));
  }

  /** Moves the machine sooner or later for a step: before any of those right before it that could be done either way. */
  private moveSooner(): (() => void) | undefined {
    let end = this.somewhere();
    while (end < this.#order.length && this.#order[end]?.operation.height === 'either') end += 1;
    let from = end;
    while (from > 0 && this.#order[from - 1]?.operation.height === 'either') from -= 1;
    if (end === this.#order.length || from === end) return undefined;
    const run = this.#order.slice(from, end);
    const was = run.map(({ moveFirst }) => moveFirst);
    const at = uniformInt(this.#random, 0, run.length);
    if (was[at] === true || (at === run.length && !was.includes(true))) return undefined;
    run.forEach((task, index) => (task.moveFirst = index === at));
    return () => run.forEach((task, index) => (task.moveFirst = was[index] ?? false));
  }

  /** Moves one task to another place between what it waits for and what waits for it. */
  private shiftOne() {
    const from = this.somewhere();
    const task = this.#order[from];
    if (!task) return undefined;
    const { first, last } = this.bounds(from, from + 1);
    if (first === last) return undefined;
    let to = uniformInt(this.#random, first, last);
    const liked = uniformFloat64(this.#random);
    if (liked < 0.4) to = this.besideLike(task, to, first, last);
    else if (liked < 0.7) to = this.nextInRow(task, to, first, last);
    return to === from ? undefined : this.shift(from, from + 1, to);
  }

  /** Moves a run of tasks at one station and height together. */
  private shiftRun() {
    const at = this.somewhere();
    const task = this.#order[at];
    if (!task) return undefined;
    const like = (other: Task | undefined) =>
      other?.station === task.station && other.operation.height === task.operation.height;
    let from = at;
    let end = at + 1;
    while (from > 0 && like(this.#order[from - 1])) from -= 1;
    while (end < this.#order.length && like(this.#order[end])) end += 1;
    const cut = uniformFloat64(this.#random);
    if (cut < 0.3) from = at;
    else if (cut < 0.6) end = at + 1;
    const { first, last } = this.bounds(from, end);
    if (first === last) return undefined;
    let to = uniformInt(this.#random, first, last);
    if (uniformFloat64(this.#random) < 0.5) to = this.besideLike(task, to, first, last);
    return to === from ? undefined : this.shift(from, end, to);
  }

  /** Puts a stretch of the order together anew by a rule with chance in it. */
  private stretchAnew() {
    const size = Math.min(this.#order.length, uniformInt(this.#random, 4, LONGEST_STRETCH));
    const from = uniformInt(this.#random, 0, this.#order.length - size);
    const was = this.#order.slice(from, from + size);
    let last = this.#order[from - 1];
    let { height } = this.net.problem;
    for (let index = from - 1; index >= 0; index -= 1) {
      const stands = this.#order[index]?.operation.height ?? 'either';
      if (stands === 'either') continue;
      height = stands;
      break;
    }
    const put = inOrder(
      was,
      ({ before }) => before,
      (ready) => {
        let best: Task | undefined;
        let most = -Infinity;
        for (const task of ready) {
          const stands = task.operation.height;
          const thought =
            (task.station === last?.station ? 1 : 0) +
            (stands === 'either' || stands === height ? 1.5 : 0) +
            (task.tools.some((tool) => last?.tools.includes(tool)) ? 0.4 : 0) +
            uniformFloat64(this.#random);
          if (thought > most) [best, most] = [task, thought];
        }
        if (best && best.operation.height !== 'either') height = best.operation.height;
        last = best;
        return best;
      },
    );
    this.replace(from, put);
    return { from, was };
  }

  private somewhere(): number {
    return uniformInt(this.#random, 0, this.#order.length - 1);
  }

  /** Where the run from `from` to before `end` may begin, first and last, with everything else in its order. */
  private bounds(from: number, end: number): { readonly first: number; readonly last: number } {
    let first = 0;
    let behind = this.#order.length;
    for (let index = from; index < end; index += 1) {
      const task = this.#order[index];
      if (!task) break;
      for (const { place } of task.before) if (place < from && place + 1 > first) first = place + 1;
      for (const { place } of task.after) if (place >= end && place < behind) behind = place;
    }
    // Whatever the run passes then stands on its other side, and must be of a stage for that.
    const [head, tail] = [this.#order[from], this.#order[end - 1]];
    while (first < from && tail && (this.#order[first]?.stage ?? 0) < tail.stage) first += 1;
    while (behind > end && head && (this.#order[behind - 1]?.stage ?? 0) > head.stage) behind -= 1;
    return { first, last: behind - (end - from) };
  }

  /** A place near `to` next to a task at the same station, if there is one. */
  private besideLike(task: Task, to: number, first: number, last: number): number {
    for (let away = 0; away < 12; away += 1)
      for (const at of [to - away, to + away])
        if (at >= first && at <= last && this.#order[at] !== task && this.#order[at]?.station === task.station)
          return at;
    return to;
  }

  /** The place behind the one before `task` in its row, if there is one between `first` and `last`. */
  private nextInRow(task: Task, to: number, first: number, last: number): number {
    let before: Task | undefined;
    for (const other of this.#rows.get(task.line) ?? [])
      if (other.station === task.station && other.inLine < task.inLine && other.inLine >= (before?.inLine ?? -Infinity))
        before = other;
    if (!before) return to;
    const behind = before.place < task.place ? before.place + 1 : before.place;
    return Math.min(last, Math.max(first, behind));
  }

  /** Moves the run from `from` to before `end` so that it begins at `to`. Returns what was there, to put it back. */
  private shift(from: number, end: number, to: number) {
    const low = Math.min(from, to);
    const high = Math.max(end, to + end - from);
    const was = this.#order.slice(low, high);
    const run = this.#order.slice(from, end);
    const rest = [...this.#order.slice(low, from), ...this.#order.slice(end, high)];
    const put = to < from ? [...run, ...rest] : [...rest, ...run];
    this.replace(low, put);
    return { from: low, was };
  }

  private replace(from: number, put: readonly Task[]): void {
    put.forEach((task, index) => (this.#order[from + index] = task));
    this.number(from, from + put.length);
  }

  private number(from: number, end: number): void {
    for (let index = from; index < end; index += 1) {
      const task = this.#order[index];
      if (task) task.place = index;
    }
  }
}

/** Whether `order` respects every edge and every stage. */
export function respects(order: readonly Task[]): boolean {
  return order.every(
    (task, index) =>
      (order[index + 1]?.stage ?? Infinity) >= task.stage &&
      !order.slice(0, index).some((earlier) => precedes(task, earlier)),
  );
}
