import fc from 'fast-check';
import { NOTHING_DECIDED } from '../bench/index.js';
import { usualMap } from '../layouts/index.js';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { bestSets, chanceWithin, nowOrLater, usualYearsLeft, USUAL_RATES, valueOf, type SetProblem } from './index.js';

const cost = fc.integer({ min: 1, max: 20_000 });
const minutes = fc.integer({ min: 1, max: 120 });

const problems = (least: number, most: number) =>
  fc.integer({ min: least, max: most }).chain((count) => {
    const some = fc.subarray(
      Array.from({ length: count }, (_, index) => index),
      { minLength: 1 },
    );
    return fc.record({
      items: fc.array(
        fc.record({
          cost,
          cash: cost,
          minutes,
          chance: fc.double({ min: 0, max: 0.95, noNaN: true }),
          harm: fc.integer({ min: 0, max: 90_000 }),
        }),
        {
          minLength: count,
          maxLength: count,
        },
      ),
      now: fc.array(fc.record({ items: some, cost, cash: cost, minutes }), { maxLength: 6 }),
      later: fc.array(fc.record({ items: some, cost: fc.integer({ min: 1, max: 150_000 }) }), { maxLength: 6 }),
    });
  });

/** Every subset, one after the other. */
function byTrying(problem: SetProblem, { cash = Infinity, minutes: most = Infinity } = {}): readonly number[] {
  const totals: number[] = [];
  for (let mask = 0; mask < 2 ** problem.items.length; mask += 1) {
    const value = valueOf(
      problem,
      problem.items.flatMap((_, index) => ((mask >> index) & 1 ? [index] : [])),
    );
    if (value.cash <= cash && value.minutes <= most) totals.push(value.now + value.later);
  }
  return totals.sort((one, other) => one - other);
}

describe('the best set to do now', () => {
  it('is the best of all, and the second the best of all others', () => {
    fc.assert(
      fc.property(problems(1, 9), (problem) => {
        const { best, second } = bestSets(problem);
        const [first = 0, next = 0] = byTrying(problem);
        expect(best.now + best.later).toBeCloseTo(first, 3);
        if (second) expect(second.now + second.later).toBeCloseTo(next, 3);
      }),
      { numRuns: 60, seed: 1 },
    );
  });

  it('is the best of all that stay within a budget of money and of hours', () => {
    fc.assert(
      fc.property(problems(1, 9), fc.integer({ min: 0, max: 60_000 }), minutes, (problem, cash, most) => {
        const { best } = bestSets(problem, { cash, minutes: most * 4 });
        expect(best.now + best.later).toBeCloseTo(byTrying(problem, { cash, minutes: most * 4 })[0] ?? 0, 3);
      }),
      { numRuns: 60, seed: 2 },
    );
  });

  it('is the best of all for fifteen things', () => {
    fc.assert(
      fc.property(problems(15, 15), (problem) => {
        const { best } = bestSets(problem);
        expect(best.now + best.later).toBeCloseTo(byTrying(problem)[0] ?? 0, 3);
      }),
      { numRuns: 1, seed: 3 },
    );
  });

  it('opens once what several need: with the clutch out the seal is nearly free', () => {
    const problem: SetProblem = {
      items: [
        { cost: 200, cash: 190, minutes: 10, chance: 0.6 },
        { cost: 50, cash: 28, minutes: 25, chance: 0.05 },
      ],
      now: [{ items: [0, 1], cost: 300, cash: 0, minutes: 300 }],
      later: [{ items: [0, 1], cost: 900 }],
    };
    expect(valueOf(problem, [0, 1]).now - valueOf(problem, [0]).now).toBe(50);
    expect(bestSets(problem).best.chosen).toEqual([0]);
    expect(valueOf(problem, []).later).toBeCloseTo(0.6 * 200 + 0.05 * 50 + 900 * (1 - 0.4 * 0.95), 6);
  });

  it('weighs no more than can be weighed exactly', () => {
    const items = Array.from({ length: 31 }, () => ({ cost: 1, cash: 1, minutes: 1, chance: 0.1 }));
    expect(() => bestSets({ items, now: [], later: [] })).toThrow(RangeError);
  });
});

describe('the chance that something wears out', () => {
  it('is about even when it is expected to, small long before, and never certain', () => {
    expect(chanceWithin(5, 5)).toBeCloseTo(0.509, 3);
    expect(chanceWithin(1, 6)).toBeLessThan(0.01);
    expect(chanceWithin(50, 1)).toBe(0.995);
    expect(chanceWithin(0, 3)).toBe(0);
    expect(chanceWithin(3, 0)).toBe(0.995);
    expect(usualYearsLeft(12)).toBe(6);
  });
});

describe('now or later', () => {
  const plan: JobPlan = {
    map: usualMap('longitudinal-manual'),
    powerpack: 'engine-with-gearbox',
    route: 'top',
    rules: RULES_NOW,
  };
  const board = nowOrLater(plan, NOTHING_DECIDED, { yearsIn: 5, lives: new Map([['clutch', 2]]), rates: USUAL_RATES });
  const of = (id: string) => board.bargains.find(({ renewal }) => renewal.id === id);

  it('has at least twenty things to weigh on an ordinary car', () => {
    expect(board.bargains.length).toBeGreaterThanOrEqual(20);
    expect(board.unreached).toEqual([]);
  });

  it('comes back for what is between engine and gearbox through the gearbox, and for a sump with the engine out', () => {
    expect(of('rear-crank-seal')?.laterBy).toMatch(/^gearbox alone/);
    expect(of('sump-gasket')?.laterBy).toMatch(/^bare engine/);
    expect(of('thermostat')?.laterBy).toBe('where it is');
  });

  it('finds hoses behind the engine a bargain, and a belt that is as easily reached later none', () => {
    expect(of('rear-hoses')?.breakEven).toBeLessThan(0.1);
    expect(of('belt-and-tensioner')?.breakEven).toBeGreaterThan(0.95);
  });

  it('never puts later below what is its own and what the last joint in front of it takes to open and close', () => {
    for (const { renewal, own, later } of board.bargains)
      for (const need of renewal.reach) {
        if (!('open' in need)) continue;
        const joint = plan.map.connections.find(({ id }) => id === need.open);
        const least = ((joint?.minutes.likely ?? 0) + (joint?.refit.minutes.likely ?? 0)) * (joint?.hands ?? 1);
        expect([renewal.id, (later?.minutes ?? 0) >= own.minutes + least]).toEqual([renewal.id, true]);
      }
  });

  it('goes by the years somebody gave it, and by what is usual where nobody did', () => {
    expect(of('clutch')).toMatchObject({ yearsLeft: 2, guessed: true });
    expect(of('rear-crank-seal')).toMatchObject({ yearsLeft: 6, guessed: false });
    expect(of('clutch')?.chance).toBeGreaterThan(of('rear-crank-seal')?.chance ?? 1);
  });

  it('reckons what breaks with it, and the days the machine stands: the bolder the harm, the smaller a chance pays', () => {
    const drive = of('timing-drive');
    const { guideCents, days } = drive?.renewal.breaks ?? { guideCents: 0, days: 0 };
    expect(guideCents).toBeGreaterThan(100_000);
    expect(drive?.harmCents).toBe(guideCents + days * USUAL_RATES.dayCents);
    const withoutHarm = (drive?.now.cents ?? 0) / (drive?.later?.cents ?? 1);
    expect(drive?.breakEven).toBeLessThan(withoutHarm / 2);
    const dear = nowOrLater(plan, NOTHING_DECIDED, {
      yearsIn: 5,
      lives: new Map(),
      rates: { ...USUAL_RATES, dayCents: 90_000 },
    }).bargains.find(({ renewal }) => renewal.id === 'timing-drive');
    expect(dear?.harmCents).toBe(guideCents + days * 90_000);
    expect(of('head-cover-gasket')?.harmCents).toBe(0);
  });

  it('charges the parting once: the set between engine and gearbox is chosen together or not at all', () => {
    const chosen = new Set(board.best.chosen.map((index) => board.bargains[index]?.renewal.id));
    const between = ['rear-crank-seal', 'clutch', 'release-bearing', 'input-shaft-seal'];
    expect(between.map((id) => chosen.has(id))).toEqual([true, true, true, true]);
  });

  it('costs no more than another set that was only guessed', () => {
    const total = board.best.now + board.best.later;
    for (const chosen of [[], board.bargains.map((_, index) => index), board.best.chosen.slice(1)]) {
      const value = valueOf(board.problem, chosen);
      expect(value.now + value.later).toBeGreaterThanOrEqual(total - 1e-6);
    }
  });

  it('stays within what may be spent', () => {
    const { within } = nowOrLater(plan, NOTHING_DECIDED, {
      yearsIn: 5,
      lives: new Map(),
      rates: USUAL_RATES,
      limits: { cash: 15_000, minutes: 120 },
    });
    expect(within?.cash).toBeLessThanOrEqual(15_000);
    expect(within?.minutes).toBeLessThanOrEqual(120);
    expect(within?.chosen.length).toBeGreaterThan(0);
  });
});
