/** Items to do now or leave, at most {@link MOST_ITEMS} of them. Money in one unit, minutes of one pair of hands. */
export interface SetProblem {
  readonly items: readonly {
    /** Its own work and parts, whenever it is done. */
    readonly cost: number;
    readonly cash: number;
    readonly minutes: number;
    /** The chance that it fails before the next time out, where it is left. */
    readonly chance: number;
    /** What it takes along when it fails. */
    readonly harm?: number;
  }[];
  /** What has to be done once for any of some items, now. */
  readonly now: readonly {
    readonly items: readonly number[];
    readonly cost: number;
    readonly cash: number;
    readonly minutes: number;
  }[];
  /** What has to be done once when any of some items that were left fails. */
  readonly later: readonly { readonly items: readonly number[]; readonly cost: number }[];
}

/** What may be spent now. */
export interface Limits {
  readonly cash?: number;
  readonly minutes?: number;
}

/** A set of items to do now, and what it comes to: spent now, and expected later for what is left. */
export interface ValuedSet {
  readonly chosen: readonly number[];
  readonly now: number;
  readonly later: number;
  readonly cash: number;
  readonly minutes: number;
}

export const MOST_ITEMS = 30;
const NEARLY_SURE = 0.999;

/**
 * What doing `chosen` now comes to: the union of what has to be opened for them, their own cost, and what is expected
 * of those that are left. Something opened later for several is paid for once: with the chance that any of them fails.
 */
export function valueOf(problem: SetProblem, chosen: readonly number[]): ValuedSet {
  const set = new Set(chosen);
  const spent = { now: 0, cash: 0, minutes: 0 };
  const pay = ({ cost, cash, minutes }: { cost: number; cash: number; minutes: number }) => {
    spent.now += cost;
    spent.cash += cash;
    spent.minutes += minutes;
  };
  let later = 0;
  problem.items.forEach((item, index) => {
    if (set.has(index)) pay(item);
    else later += expectedOf(item);
  });
  for (const shared of problem.now) if (shared.items.some((item) => set.has(item))) pay(shared);
  for (const { items, cost } of problem.later) {
    const spared = items.reduce((product, item) => product * (set.has(item) ? 1 : 1 - chanceOf(problem, item)), 1);
    later += cost * (1 - spared);
  }
  return { chosen: [...set].sort((one, other) => one - other), later, ...spent };
}

/** What leaving an item is expected to cost of itself: its own work by then, and what it takes along. */
const expectedOf = ({ chance, cost, harm = 0 }: SetProblem['items'][number]) => chance * (cost + harm);

const chanceOf = ({ items }: SetProblem, item: number) => Math.min(NEARLY_SURE, items[item]?.chance ?? 0);

/**
 * The set that comes to least within `limits`, and, where there are none, the one that comes to least of all others. Exact: branch and bound.
 * The cost of a set is submodular (a union of what is opened, and a concave function of what is left), so any point of
 * its base polytope bounds it from below (Edmonds); the point is brought near the least norm by Frank and Wolfe’s steps,
 * where the bound is tight (Fujishige). Limits enter the bound with Lagrange multipliers. Throws RangeError for more
 * than {@link MOST_ITEMS} items.
 */
export function bestSets(
  problem: SetProblem,
  limits: Limits = {},
): { readonly best: ValuedSet; readonly second?: ValuedSet; readonly looked: number } {
  const count = problem.items.length;
  if (count > MOST_ITEMS) throw new RangeError(`At most ${MOST_ITEMS} items are weighed together.`);
  const cashLimit = limits.cash ?? Infinity;
  const minutesLimit = limits.minutes ?? Infinity;
  const fits = ({ cash, minutes }: ValuedSet) => cash <= cashLimit + SLACK && minutes <= minutesLimit + SLACK;
  const total = ({ now, later }: ValuedSet) => now + later;
  const wanted = limits.cash === undefined && limits.minutes === undefined ? 2 : 1;
  const found: ValuedSet[] = [];
  const seen = new Set<string>();
  const offer = (chosen: readonly number[]) => {
    const valued = valueOf(problem, chosen);
    const name = valued.chosen.join(' ');
    if (!fits(valued) || seen.has(name)) return;
    seen.add(name);
    found.push(valued);
    found.sort((one, other) => total(one) - total(other));
    found.length = Math.min(found.length, wanted);
  };
  const ceiling = () => {
    const last = found[wanted - 1];
    return last ? total(last) : Infinity;
  };

  offer([]);
  climb(problem, limits, offer);
  const bounds = boundsFor(problem, limits);
  let looked = 0;
  const visit = (inside: readonly number[], all: readonly number[], near: Multipliers) => {
    looked += 1;
    // What does not fit by itself any more is out for all that follows.
    const open = all.filter((item) => fits(valueOf(problem, [...inside, item])));
    if (open.length === 0) {
      offer(inside);
      return;
    }
    const enough = ceiling() - SLACK;
    const { bound, doubtful, multipliers } = bounds(inside, open, near, enough);
    if (bound >= enough) return;
    const rest = open.filter((item) => item !== doubtful);
    visit([...inside, doubtful], rest, multipliers);
    visit(inside, rest, multipliers);
  };
  visit(
    [],
    problem.items.map((_, index) => index),
    FREE,
  );
  const [best = valueOf(problem, []), second] = found;
  return { best, ...(second ? { second } : {}), looked };
}

const SLACK = 1e-6;

/** Good sets to begin with: from nothing and from everything, one item in or out at a time as long as it helps. */
function climb(problem: SetProblem, limits: Limits, offer: (chosen: readonly number[]) => void): void {
  const all = problem.items.map((_, index) => index);
  const within = ({ cash, minutes }: ValuedSet) =>
    cash <= (limits.cash ?? Infinity) && minutes <= (limits.minutes ?? Infinity);
  for (const start of [[], all]) {
    let current: readonly number[] = start;
    for (let step = 0; step < all.length * 3; step += 1) {
      const neighbours = all
        .map((item) => (current.includes(item) ? current.filter((one) => one !== item) : [...current, item]))
        .map((chosen) => valueOf(problem, chosen));
      const here = valueOf(problem, current);
      const over = !within(here);
      const candidates = over
        ? neighbours.filter(({ chosen }) => chosen.length < current.length)
        : neighbours.filter(within);
      const next = candidates.sort((one, other) => one.now + one.later - other.now - other.later)[0];
      if (!next || (!over && next.now + next.later >= here.now + here.later - SLACK)) break;
      current = next.chosen;
      offer(current);
    }
  }
}

/** What a unit more of each limit is taken to be worth. */
type Multipliers = readonly [onCash: number, onMinutes: number];
const FREE: Multipliers = [0, 0];
/** Where a multiplier is looked for first. */
const GRID = [0.05, 0.2, 0.8, 3, 12, 50, 200];
/** Steps towards the least norm: more at the first node, from which the multipliers go on. */
const FIRST_STEPS = 150;
const STEPS = 24;

interface Bound {
  readonly bound: number;
  /** The point of the base polytope it rests on, by item. */
  readonly point: Float64Array;
}

/** Lower bounds on sets that have `inside` in and may have some of `open`, and the item whose place is least sure. */
function boundsFor(problem: SetProblem, limits: Limits) {
  const limited = ([0, 1] as const).filter((which) => [limits.cash, limits.minutes][which] !== undefined);
  const boundAt = boundFor(problem, limits);
  return (inside: readonly number[], open: readonly number[], near: Multipliers, enough: number) => {
    const steps = inside.length === 0 ? FIRST_STEPS : STEPS;
    let best = boundAt(inside, open, near, steps);
    let multipliers = near;
    const attempt = (pair: Multipliers): boolean => {
      if (best.bound >= enough) return false;
      const here = boundAt(inside, open, pair, steps);
      if (here.bound <= best.bound) return false;
      best = here;
      multipliers = pair;
      return true;
    };
    for (const which of limited) {
      const along = (step: number): Multipliers => (which === 0 ? [step, multipliers[1]] : [multipliers[0], step]);
      const value = () => multipliers[which];
      if (value() === 0) for (const step of GRID) attempt(along(step));
      for (let factor = 1.6; value() > 0 && factor > 1.05; factor = Math.sqrt(factor)) {
        let better = true;
        while (better) better = attempt(along(value() * factor)) || attempt(along(value() / factor));
      }
    }
    const unsure = (item: number) => Math.abs(best.point[item] ?? 0);
    const doubtful = open.reduce((least, item) => (unsure(item) < unsure(least) ? item : least));
    return { bound: best.bound, doubtful, multipliers };
  };
}

/** The bound at one node for given multipliers: Frank and Wolfe’s steps towards the point of least norm. */
function boundFor(problem: SetProblem, limits: Limits) {
  const marginalsFrom = marginalsOf(problem);
  return (inside: readonly number[], open: readonly number[], pair: Multipliers, steps: number): Bound => {
    const base = valueOf(problem, inside);
    const over = pair[0] * (base.cash - (limits.cash ?? 0)) + pair[1] * (base.minutes - (limits.minutes ?? 0));
    const floor = base.now + base.later + over;
    const marginals = marginalsFrom(inside, pair);
    let point = marginals(open);
    const at = (item: number) => point[item] ?? 0;
    const bounded = () => open.reduce((sum, item) => sum + Math.min(0, at(item)), floor);
    let best: Bound = { bound: bounded(), point };
    for (let step = 0; step < steps; step += 1) {
      const corner = marginals([...open].sort((one, other) => at(one) - at(other)));
      let along = 0;
      let length = 0;
      for (const item of open) {
        const way = (corner[item] ?? 0) - at(item);
        along -= at(item) * way;
        length += way * way;
      }
      if (length < 1e-12 || along <= 0) break;
      const share = Math.min(1, along / length);
      point = point.map((value, item) => value + share * ((corner[item] ?? 0) - value));
      const bound = bounded();
      if (bound > best.bound) best = { bound, point };
    }
    return best;
  };
}

/** How much each item adds when they are put in one after the other, on top of what is in already. */
function marginalsOf(problem: SetProblem) {
  const { items, now, later } = problem;
  const known = items.map((own, item) => ({
    own,
    spared: 1 - chanceOf(problem, item),
    opens: now.flatMap((shared, index) => (shared.items.includes(item) ? [{ shared, index }] : [])),
    closes: later.flatMap(({ items: those, cost }, index) => (those.includes(item) ? [{ cost, index }] : [])),
  }));
  return (inside: readonly number[], [onCash, onMinutes]: Multipliers) => {
    const price = (spent: { readonly cost: number; readonly cash: number; readonly minutes: number }) =>
      spent.cost + onCash * spent.cash + onMinutes * spent.minutes;
    const openedBefore = new Uint8Array(now.length);
    for (const item of inside) for (const { index } of known[item]?.opens ?? []) openedBefore[index] = 1;
    const isIn = new Set(inside);
    const sparedBefore = Float64Array.from(later, ({ items: those }) =>
      those.reduce((product, item) => (isIn.has(item) ? product : product * (known[item]?.spared ?? 1)), 1),
    );
    return (order: readonly number[]): Float64Array => {
      const opened = openedBefore.slice();
      const spared = sparedBefore.slice();
      const adds = new Float64Array(items.length);
      for (const item of order) {
        const one = known[item];
        if (!one) continue;
        let add = price(one.own) - expectedOf(one.own);
        for (const { shared, index } of one.opens) {
          if (opened[index] === 1) continue;
          opened[index] = 1;
          add += price(shared);
        }
        for (const { cost, index } of one.closes) {
          const before = spared[index] ?? 1;
          const after = before / one.spared;
          spared[index] = after;
          add -= cost * (after - before);
        }
        adds[item] = add;
      }
      return adds;
    };
  };
}
