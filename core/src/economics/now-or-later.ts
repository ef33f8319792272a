import { benchSteps, renewalsOf, type BenchDecisions } from '../bench/index.js';
import { waysOut, type ConnectionId, type JobPlan, type Renewal } from '../connection-map/index.js';
import { deedsBack, refitOf } from '../refit/index.js';
import { teardownOf, type DeedSteps, type Operation, type Teardown } from '../teardown/index.js';
import { bestSets, MOST_ITEMS, type Limits, type SetProblem, type ValuedSet } from './best-set.js';
import { chanceWithin, usualYearsLeft } from './chance.js';
import { USUAL_RATES, type Rates } from './rates.js';

/** What something costs: minutes of one pair of hands, what is bought for it, and both together in hundredths. */
export interface Price {
  readonly minutes: number;
  readonly cashCents: number;
  readonly cents: number;
}

/** One thing that could be renewed now: against coming back for it. */
export interface Bargain {
  readonly renewal: Renewal;
  /** Its own work and parts, whenever it is done. */
  readonly own: Price;
  /** What is not open yet for it and has to be, by itself. */
  readonly open: Price;
  /** Own and opening, now. */
  readonly now: Price;
  /** Own, and all there is to open and close for it from a running machine; absent where it is never reached again. */
  readonly later?: Price;
  /** The way it would be reached by then. */
  readonly laterBy?: string;
  /** What it takes along when it fails: what breaks, and the days the machine stands for it, in hundredths. */
  readonly harmCents: number;
  /** The chance of its failing above which now is the cheaper. */
  readonly breakEven?: number;
  readonly yearsLeft: number;
  /** Whether somebody guessed the years, or they are what is usual. */
  readonly guessed: boolean;
  /** The chance that it fails before the next time out. */
  readonly chance: number;
}

/** The board: every item with its bargain, and the sets that come to least. */
export interface NowOrLater {
  readonly bargains: readonly Bargain[];
  /** Things the powerpack does not come out far enough for this time. */
  readonly unreached: readonly Renewal[];
  readonly problem: SetProblem;
  readonly best: ValuedSet;
  readonly second?: ValuedSet;
  /** The best that stays within the limits, where there are any. */
  readonly within?: ValuedSet;
}

/** What is reckoned with besides the plan. */
export interface ReckonedWith {
  /** Years until the next time out. */
  readonly yearsIn: number;
  /** Years that somebody gives an item, by its name. */
  readonly lives: ReadonlyMap<string, number>;
  readonly rates: Rates;
  readonly limits?: Limits;
}

/** Something that is done or bought once, however many things need it. */
interface Element {
  readonly id: string;
  readonly minutes: number;
  readonly cashCents: number;
}

/** Getting a machine onto its stands and down again, in minutes of one pair of hands. */
const RAISED_AND_DOWN_MIN = 30;

/**
 * Holds doing each of the job’s renewals now against coming back for it. Now: what is not opened yet by the plan and the
 * decisions on its units. Later: the least of every way the powerpack leaves by, and of reaching it where it is, opened
 * and closed from a running machine. What the ledger has chosen already does not count: everything is weighed afresh.
 * At most {@link MOST_ITEMS} items are weighed together: those that come first on the map.
 */
export function nowOrLater(plan: JobPlan, decisions: BenchDecisions, terms: ReckonedWith): NowOrLater {
  const { rates, yearsIn, lives } = terms;
  const all = renewalsOf(plan, decisions).filter(({ at }) => plan.map.parts.some(({ id }) => id === at));
  const reckon = reckoner(plan, rates);
  const bare: BenchDecisions = { ...decisions, now: new Set() };
  const teardown = teardownOf(plan);
  const begun = reckon.elements(plan, teardown, bare);
  const known = new Set(begun.elements.map(({ id }) => id));
  const standing = inPlace(teardown);
  const ways = [
    { name: 'where it is', elements: (one: Renewal) => reckon.elements(plan, standing, only(decisions, one)) },
    ...waysOut(plan.map).map(({ powerpack, route }) => {
      const whole: JobPlan = {
        map: plan.map,
        powerpack: powerpack.id,
        route: route.id,
        ...(plan.rules === undefined ? {} : { rules: plan.rules }),
      };
      const out = teardownOf(whole);
      const base = reckon.whole(whole, out);
      return {
        name: `${powerpack.name.toLowerCase()}: ${route.name.toLowerCase()}`,
        elements: (one: Renewal) => {
          const { elements, reached } = reckon.elements(whole, out, only(decisions, one));
          return { reached, elements: unique([...base, ...elements]) };
        },
      };
    }),
  ];

  const unreached: Renewal[] = [];
  const weighed: { readonly bargain: Bargain; readonly now: readonly Element[]; readonly later: readonly Element[] }[] =
    [];
  for (const renewal of all) {
    const here = reckon.elements(plan, teardown, { ...bare, now: new Set([renewal.id]) });
    if (!here.reached || weighed.length >= MOST_ITEMS) {
      unreached.push(renewal);
      continue;
    }
    const own = priced(
      [{ id: '', minutes: renewal.minutes.likely * renewal.hands, cashCents: partsCents(renewal) }],
      rates,
    );
    const more = here.elements.filter(({ id }) => !known.has(id));
    const reachedBy = ways.flatMap(({ name, elements }) => {
      const way = elements(renewal);
      return way.reached ? [{ name, elements: way.elements, price: priced(way.elements, rates) }] : [];
    });
    const least = reachedBy.sort((one, other) => one.price.cents - other.price.cents)[0];
    const open = priced(more, rates);
    const now = sum(own, open);
    const guess = lives.get(renewal.id);
    const harmCents = harmOf(renewal, rates);
    const yearsLeft = guess ?? usualYearsLeft(renewal.lastsYears);
    weighed.push({
      now: more,
      later: least?.elements ?? [],
      bargain: {
        renewal,
        own,
        open,
        now,
        harmCents,
        ...(least
          ? {
              later: sum(own, least.price),
              laterBy: least.name,
              breakEven: Math.min(1, now.cents / Math.max(1, sum(own, least.price).cents + harmCents)),
            }
          : {}),
        yearsLeft,
        guessed: guess !== undefined,
        chance: chanceWithin(yearsIn, yearsLeft),
      },
    });
  }
  const problem: SetProblem = {
    items: weighed.map(({ bargain: { own, chance, harmCents } }) => ({
      cost: own.cents,
      cash: own.cashCents,
      minutes: own.minutes,
      chance,
      harm: harmCents,
    })),
    now: shared(weighed.map(({ now }) => now)).map(({ items, element }) => {
      const { cents, cashCents, minutes } = priced([element], rates);
      return { items, cost: cents, cash: cashCents, minutes };
    }),
    later: shared(weighed.map(({ later }) => later)).map(({ items, element }) => ({
      items,
      cost: priced([element], rates).cents,
    })),
  };
  const { best, second } = bestSets(problem);
  const within = terms.limits ? bestSets(problem, terms.limits).best : undefined;
  return {
    bargains: weighed.map(({ bargain }) => bargain),
    unreached,
    problem,
    best,
    ...(second ? { second } : {}),
    ...(within ? { within } : {}),
  };
}

const only = ({ own }: BenchDecisions, { id }: Renewal): BenchDecisions => ({
  units: new Map(),
  own,
  now: new Set([id]),
});

/** Nothing is out: what is reached is reached in the machine as it stands. */
function inPlace(teardown: Teardown): Teardown {
  const none = new Map<never, never>();
  return {
    ...teardown,
    lump: new Set(),
    opened: none,
    removed: none,
    conditions: none,
    drained: none,
    holdsPart: none,
    operations: [],
    precedence: [],
    hanging: [],
    because: none,
  };
}

function reckoner({ map }: JobPlan, rates: Rates) {
  const singleUse = new Map<ConnectionId, number>(
    map.connections.map(({ id, fasteners }) => [
      id,
      fasteners.reduce((pieces, { count, singleUse: once }) => (once ? pieces + count : pieces), 0),
    ]),
  );
  const knownSteps = new Map<Teardown, DeedSteps>();
  const litres = new Map(map.circuits.map(({ id, drainsL }) => [id, drainsL]));
  const ofOperations = (operations: readonly Operation[]): readonly Element[] => [
    ...operations
      .filter(({ kind }) => kind !== 'wait' && kind !== 'renew')
      .map(({ id, minutes, hands }) => ({ id, minutes: minutes.likely * hands, cashCents: 0 })),
    ...(operations.some(({ height }) => height === 'raised')
      ? [{ id: 'raised', minutes: RAISED_AND_DOWN_MIN, cashCents: 0 }]
      : []),
  ];
  const bought = (opened: Iterable<ConnectionId>, drained: Iterable<string>): readonly Element[] => [
    ...[...opened].flatMap((id) => {
      const pieces = singleUse.get(id) ?? 0;
      return pieces > 0 ? [{ id: `new:${id}`, minutes: 0, cashCents: pieces * rates.fastenerCents }] : [];
    }),
    ...[...drained].map((id) => ({
      id: `filled:${id}`,
      minutes: map.circuits.find((one) => one.id === id)?.fill.minutes.likely ?? 0,
      cashCents: Math.round((litres.get(id) ?? 0) * rates.litreCents),
    })),
  ];
  return {
    /** Everything of a whole way out and back. */
    whole(plan: JobPlan, teardown: Teardown): readonly Element[] {
      return [
        ...ofOperations([
          ...teardown.operations,
          ...refitOf(plan, teardown).operations.filter(({ kind }) => kind !== 'fill'),
        ]),
        ...bought(teardown.opened.keys(), teardown.drained.keys()),
      ];
    },
    /** What is opened and closed besides, for what `decisions` renew; and whether that is reached. */
    elements(plan: JobPlan, teardown: Teardown, decisions: BenchDecisions) {
      const steps = knownSteps.get(teardown) ?? deedsBack(plan, teardown);
      knownSteps.set(teardown, steps);
      const { required, operations } = benchSteps(plan, teardown, decisions, steps);
      return {
        reached: required.unreached.length === 0,
        elements: [...ofOperations(operations), ...bought(required.opened.keys(), required.drained.keys())],
      };
    },
  };
}

function unique(elements: readonly Element[]): readonly Element[] {
  return [...new Map(elements.map((element) => [element.id, element])).values()];
}

function partsCents({ parts }: Renewal): number {
  return parts.reduce((cents, { count, guideCents }) => cents + count * guideCents, 0);
}

/** What fails with it, and what the days cost on which the machine stands for that. */
function harmOf({ breaks }: Renewal, { dayCents = USUAL_RATES.dayCents }: Rates): number {
  return breaks ? breaks.guideCents + Math.round(breaks.days * dayCents) : 0;
}

function priced(elements: readonly Element[], { hourCents }: Rates): Price {
  const minutes = elements.reduce((total, element) => total + element.minutes, 0);
  const cashCents = elements.reduce((total, element) => total + element.cashCents, 0);
  return { minutes, cashCents, cents: Math.round((minutes * hourCents) / 60 + cashCents) };
}

function sum(one: Price, other: Price): Price {
  return {
    minutes: one.minutes + other.minutes,
    cashCents: one.cashCents + other.cashCents,
    cents: one.cents + other.cents,
  };
}

/** Elements of several items, those that the same items need put together. */
function shared(
  elements: readonly (readonly Element[])[],
): readonly { readonly items: readonly number[]; readonly element: Element }[] {
  const items = new Map<string, number[]>();
  const known = new Map<string, Element>();
  elements.forEach((own, item) => {
    for (const element of unique(own)) {
      known.set(element.id, element);
      items.set(element.id, [...(items.get(element.id) ?? []), item]);
    }
  });
  const groups = new Map<string, { items: readonly number[]; element: Element }>();
  for (const [id, who] of items) {
    const name = who.join(' ');
    const before = groups.get(name)?.element;
    const one = known.get(id) ?? { id, minutes: 0, cashCents: 0 };
    groups.set(name, {
      items: who,
      element: {
        id: name,
        minutes: one.minutes + (before?.minutes ?? 0),
        cashCents: one.cashCents + (before?.cashCents ?? 0),
      },
    });
  }
  return [...groups.values()];
}
