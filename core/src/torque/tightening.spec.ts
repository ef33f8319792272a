import fc from 'fast-check';
import { type PATTERN_SHAPES, positionsOf, readFastener } from '../fasteners/index.js';
import {
  advisoryTorque,
  besideTheLast,
  boltNm,
  calibrationDue,
  clockwiseOrder,
  judgeStage,
  samePullNm,
  settingFor,
  stageWords,
  stressAreaMm2,
  tighteningOrder,
  tighteningStages,
  TorqueError,
  unevennessOf,
  type PlaceMm,
  type WrenchInHand,
} from './index.js';

const holes = (shape: (typeof PATTERN_SHAPES)[number], count: number, wide = 200, high = 120) =>
  positionsOf(shape, [{ count }], wide, high).holes;
const orderOf = (shape: (typeof PATTERN_SHAPES)[number], count: number, wide?: number, high?: number) =>
  tighteningOrder(holes(shape, count, wide, high));

const sumOf = (some: readonly PlaceMm[], along: keyof PlaceMm) => some.reduce((sum, { [along]: mm }) => sum + mm, 0);

/** How often `order` goes from a bolt to its neighbour, and how far it keeps from what is tight, each step less than the one before. */
function shyOf(some: readonly PlaceMm[], order: readonly number[]): readonly [neighbours: number, away: number] {
  const apart = (one: number, other: number) => {
    const [from, to] = [some[one], some[other]];
    return from && to ? Math.hypot(from.xMm - to.xMm, from.yMm - to.yMm) : NaN;
  };
  const nearestTo = (bolt: number) =>
    Math.min(...[...some.keys()].filter((other) => other !== bolt).map((other) => apart(bolt, other)));
  const beside = (one: number, other: number) => apart(one, other) <= 1.05 * Math.max(nearestTo(one), nearestTo(other));
  const middle = { xMm: sumOf(some, 'xMm') / some.length, yMm: sumOf(some, 'yMm') / some.length };
  const radius = Math.max(...some.map(({ xMm, yMm }) => Math.hypot(xMm - middle.xMm, yMm - middle.yMm)));
  let [neighbours, away] = [0, 0];
  for (let tight = 1; tight < order.length; tight += 1) {
    const [last = 0, next = 0] = order.slice(tight - 1, tight + 1);
    if (beside(last, next)) neighbours += 1;
    away += Math.min(...order.slice(0, tight).map((one) => apart(one, next))) / radius / tight ** 2;
  }
  return [neighbours, away];
}

describe('the bolts of a panel', () => {
  it('go to their figure at once, unless the map says otherwise', () => {
    const one = [{ is: 'torque', share: 1, nm: 9 }];
    expect(tighteningStages({ targetNm: 9 }, 8, 'panel')).toEqual(one);
    expect(tighteningStages({ targetNm: 9 }, 8)).toHaveLength(3);
    expect(tighteningStages({ targetNm: 60 }, 8, 'panel')).toHaveLength(3);
    expect(tighteningStages({ targetNm: 110 }, 5, 'mount')).toHaveLength(2);
    expect(tighteningStages({ targetNm: 110 }, 1, 'mount')).toHaveLength(1);
    expect(tighteningStages({ targetNm: 9, stages: [0.5, 1] }, 8, 'panel')).toHaveLength(2);
  });
});

describe('the order of the bolts', () => {
  it('is a star on a circle, measured against clockwise', () => {
    const circle = holes('circle', 8, 100, 100);
    expect(tighteningOrder(circle)).toEqual([0, 4, 2, 6, 1, 5, 3, 7]);
    expect(unevennessOf(circle, tighteningOrder(circle))).toBeCloseTo(0.21, 2);
    expect(unevennessOf(circle, clockwiseOrder(circle))).toBeCloseTo(0.539, 3);
    expect(clockwiseOrder(circle)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
  });

  it.each([3, 4, 5, 6, 9])('goes from the middle outwards along a row of %d', (count) => {
    const middle = (count - 1) / 2;
    const from = orderOf('line', count, 300, 0).map((index) => Math.abs(index - middle));
    expect(from).toEqual([...from].sort((one, other) => one - other));
  });

  it('does not go from a bolt to its neighbour on a circle of six or more', () => {
    for (let count = 6; count <= 16; count += 1) {
      const order = orderOf('circle', count, 100, 100);
      order.slice(1).forEach((bolt, at) => {
        const steps = Math.abs(bolt - (order[at] ?? 0));
        expect([count, Math.min(steps, count - steps)]).not.toEqual([count, 1]);
      });
    }
  });

  const place = fc.record({ xMm: fc.integer({ min: 0, max: 400 }), yMm: fc.integer({ min: 0, max: 300 }) });
  const everyOrder = (left: readonly number[]): readonly (readonly number[])[] =>
    left.length === 0
      ? [[]]
      : left.flatMap((bolt) => everyOrder(left.filter((one) => one !== bolt)).map((rest) => [bolt, ...rest]));

  it('is as even as the best of all orders', () => {
    fc.assert(
      fc.property(fc.array(place, { minLength: 2, maxLength: 6 }), (some) => {
        const best = Math.min(...everyOrder([...some.keys()]).map((order) => unevennessOf(some, order)));
        expect(unevennessOf(some, tighteningOrder(some))).toBeCloseTo(best, 9);
      }),
      { numRuns: 40 },
    );
  });

  it('is, of orders as even, the one that meets fewest neighbours and then keeps farthest from what is tight', () => {
    const cross = [...holes('circle', 4, 100, 100), { xMm: 50, yMm: 50 }, { xMm: 50, yMm: 20 }, { xMm: 50, yMm: 80 }];
    const regular = [
      holes('circle', 6, 100, 100),
      holes('line', 5, 300, 0),
      holes('line', 6, 300, 0),
      holes('rectangle', 6, 200, 120),
      holes('free', 6, 150, 100),
      holes('line', 7, 300, 0),
      cross,
    ];
    for (const some of regular) {
      const orders = everyOrder([...some.keys()]);
      const least = Math.min(...orders.map((order) => unevennessOf(some, order)));
      const asEven = orders
        .filter((order) => unevennessOf(some, order) < least + 1e-6)
        .map((order) => shyOf(some, order));
      const [neighbours, away] = shyOf(some, tighteningOrder(some));
      const fewest = Math.min(...asEven.map(([met]) => met));
      expect(neighbours).toBe(fewest);
      expect(away).toBeCloseTo(Math.max(...asEven.filter(([met]) => met === fewest).map(([, far]) => far)), 6);
      expect(new Set(asEven.map(String)).size).toBeGreaterThan(1);
    }
  });

  it('cannot be made more even by changing two bolts over, up to ten of them', () => {
    const ten = fc.sample(fc.array(place, { minLength: 10, maxLength: 10 }), { numRuns: 6, seed: 5 });
    for (const some of ten) {
      const order = tighteningOrder(some);
      const least = unevennessOf(some, order);
      for (let one = 0; one < order.length; one += 1)
        for (let other = one + 1; other < order.length; other += 1) {
          const changed = [...order];
          [changed[one], changed[other]] = [order[other] ?? 0, order[one] ?? 0];
          expect(unevennessOf(some, changed)).toBeGreaterThan(least - 1e-9);
        }
    }
  });

  it('goes of many from the middle outwards, from one side to the other', () => {
    expect(orderOf('line', 11, 300, 0)).toEqual([5, 4, 6, 3, 7, 2, 8, 1, 9, 0, 10]);
    expect(orderOf('rectangle', 12, 200, 100)).toEqual([2, 8, 1, 7, 3, 9, 5, 11, 4, 10, 0, 6]);
  });

  it('is even by what the tightened ones make together', () => {
    const row = holes('line', 3, 200, 0);
    // The first is a whole radius off; the first two half of one; all of them none.
    expect(unevennessOf(row, [0, 1, 2])).toBeCloseTo((1 + 0.5 + 0) / 3, 12);
    expect(unevennessOf(row, [1, 0, 2])).toBeCloseTo((0 + 0.5 + 0) / 3, 12);
    expect(unevennessOf(row, [])).toBe(0);
  });

  it('is clockwise from twelve o’clock, wherever the list of holes begins', () => {
    const circle = holes('circle', 8, 100, 100);
    const mixed = [3, 0, 6, 1, 7, 4, 2, 5];
    const scrambled = mixed.flatMap((index) => circle.slice(index, index + 1));
    expect(clockwiseOrder(scrambled).map((index) => mixed[index])).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
  });

  it('of more bolts than every order can be looked at, takes each time one that leaves them nearest to the middle', () => {
    fc.assert(
      fc.property(fc.array(place, { minLength: 11, maxLength: 14 }), (some) => {
        const middle = { x: sumOf(some, 'xMm') / some.length, y: sumOf(some, 'yMm') / some.length };
        const offMm = (tight: readonly number[]) => {
          const those = tight.flatMap((index) => some.slice(index, index + 1));
          const [x, y] = [sumOf(those, 'xMm') / those.length, sumOf(those, 'yMm') / those.length];
          return Math.hypot(x - middle.x, y - middle.y);
        };
        const order = tighteningOrder(some);
        order.forEach((_, at) => {
          const before = order.slice(0, at);
          const best = Math.min(...order.slice(at).map((bolt) => offMm([...before, bolt])));
          expect(offMm(order.slice(0, at + 1))).toBeCloseTo(best, 6);
        });
      }),
      { numRuns: 20 },
    );
  });

  it('has every bolt once, and is no less even than clockwise, however they lie', () => {
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 24 }), (some) => {
        const order = tighteningOrder(some);
        expect([...order].sort((one, other) => one - other)).toEqual([...some.keys()]);
        if (some.length <= 10)
          expect(unevennessOf(some, order)).toBeLessThanOrEqual(unevennessOf(some, clockwiseOrder(some)) + 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('is some order where all holes lie on one spot', () => {
    const spot: PlaceMm = { xMm: 5, yMm: 5 };
    expect(tighteningOrder([spot, spot, spot])).toHaveLength(3);
    expect(unevennessOf([spot, spot], [0, 1])).toBe(0);
    expect(tighteningOrder([])).toEqual([]);
  });
});

describe('the stages', () => {
  it('are three for many bolts, two for a few, one for one; the maker’s own win', () => {
    const shares = (bolts: number, more = {}) =>
      tighteningStages({ targetNm: 45, ...more }, bolts).map((stage) =>
        stage.is === 'torque' ? stage.nm : stage.degrees,
      );
    expect(shares(10)).toStrictEqual([13.5, 27, 45]);
    expect(shares(4)).toStrictEqual([13.5, 27, 45]);
    expect(shares(3)).toStrictEqual([22.5, 45]);
    expect(shares(2)).toStrictEqual([22.5, 45]);
    expect(shares(1)).toStrictEqual([45]);
    expect(shares(10, { stages: [0.4, 1], angleDeg: 90 })).toEqual([18, 45, 90]);
    expect(tighteningStages({ targetNm: 45, angleDeg: 90 }, 4).map(stageWords)).toEqual([
      '30 %, 13.5 N·m',
      '60 %, 27 N·m',
      '100 %, 45 N·m',
      'then 90°',
    ]);
  });
});

describe('the setting', () => {
  it.each([
    [0, 88.24],
    [45, 91.38],
    [90, 100],
  ])('with a crow’s foot of 60 mm at %d° on a handle of 450 mm is %d for 100 N·m', (angleDeg, set) => {
    expect(settingFor(100, 450, { lengthMm: 60, angleDeg })).toBeCloseTo(set, 2);
  });

  it('is the figure itself without one, and gives back what was wanted', () => {
    expect(settingFor(75, 400)).toBe(75);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: -180, max: 180 }), (lengthMm, angleDeg) => {
        const adapter = { lengthMm, angleDeg };
        const wrench: WrenchInHand = {
          id: 'w',
          name: 'w',
          range: { lowestNm: 1, highestNm: 500 },
          handleMm: 400,
          adapter,
        };
        expect(boltNm(wrench, { value: settingFor(80, 400, adapter), unit: 'N·m' })).toBeCloseTo(80, 9);
      }),
    );
  });

  it.each([
    [450, { lengthMm: 450, angleDeg: 180 }, /leaves nothing of a handle of 450 mm/],
    [450, { lengthMm: 400, angleDeg: 180 }, /Turn it across/],
    [0, { lengthMm: 60, angleDeg: 0 }, /How long the handle is/],
    [450, { lengthMm: -5, angleDeg: 0 }, /needs its length/],
    [450, { lengthMm: 60, angleDeg: NaN }, /needs its length and its angle/],
  ])('is none with a handle of %d mm and %o', (handleMm, adapter, words) => {
    expect(() => settingFor(100, handleMm, adapter)).toThrow(TorqueError);
    expect(() => settingFor(100, handleMm, adapter)).toThrow(words);
  });
});

describe('a figure nobody has', () => {
  const figure = (what: string, state: Parameters<typeof advisoryTorque>[1] = 'dry') =>
    advisoryTorque(readFastener(what), state);

  it.each([
    ['M10×1.5', 57.99],
    ['M8×1.25', 36.61],
    ['M12×1.75', 84.27],
  ])('rests on the stress area of %s: %d mm²', (what, areaMm2) => {
    const { thread } = readFastener(what);
    expect(thread && stressAreaMm2(thread)).toBeCloseTo(areaMm2, 2);
  });

  it('is worked out from thread, class and friction', () => {
    expect(figure('M10×1.5 × 45, 8.8')).toMatchObject({ propertyClass: '8.8', nutFactor: 0.2 });
    expect(figure('M10×1.5 × 45, 8.8')?.torqueNm).toBeCloseTo(50.5, 1);
    expect((figure('M10×1.5 × 45, 8.8')?.clampN ?? 0) / 1_000).toBeCloseTo(25.2, 1);
    expect(figure('M10×1.5 × 45, 8.8', 'oiled')?.torqueNm).toBeCloseTo(37.8, 1);
    expect(figure('M12×1.75 × 60, 10.9')?.torqueNm).toBeCloseTo(125.9, 1);
    expect((figure('3/8-16')?.torqueNm ?? 0) / 1.3558179483).toBeCloseTo(30.9, 1);
    expect(figure('M10×1.5 × 45')?.stretchMm).toBeCloseTo((25_226 * 45) / (57.99 * 205_000), 3);
  });

  it('is none where the thread or the class says nothing', () => {
    expect(figure('push clip')).toBeUndefined();
    expect(advisoryTorque({ ...readFastener('M8×1.25'), propertyClass: 'A2-70' }, 'dry')).toBeUndefined();
  });

  it('is less with anything on the thread, for the same clamp', () => {
    const [dry, oiled, paste] = (['dry', 'oiled', 'paste'] as const).map((state) => figure('M10×1.5', state));
    expect((oiled?.torqueNm ?? 0) / (dry?.torqueNm ?? 1)).toBeCloseTo(0.75, 9);
    expect((paste?.torqueNm ?? 0) / (dry?.torqueNm ?? 1)).toBeCloseTo(0.65, 9);
    expect(paste?.clampN).toBe(dry?.clampN);
  });
});

describe('judging a stage', () => {
  const wrench: WrenchInHand = {
    id: 'three-eighths',
    name: '3/8 in',
    range: { lowestNm: 10, highestNm: 110 },
    handleMm: 400,
    calibratedOn: '2026-03-01',
    uses: 100,
  };
  const [first, , last] = tighteningStages({ targetNm: 45 }, 10);
  const judged = (
    stage: typeof first,
    value: number,
    more: Partial<WrenchInHand> = {},
    at = '2026-11-27T08:00:00.000Z',
  ) => (stage?.is === 'torque' ? judgeStage(stage, 45, { ...wrench, ...more }, { value, unit: 'N·m' }, at) : undefined);

  it('holds the last one against its figure, and those before only against going beyond it', () => {
    expect([13, 20, 46.8].map((value) => judged(first, value))).toEqual(['within', 'within', 'within']);
    expect(judged(first, 47)).toBe('over');
    expect([43.2, 43.1, 46.8, 46.9].map((value) => judged(last, value))).toEqual(['within', 'under', 'within', 'over']);
  });

  it('counts what the bolt gets, not what the wrench shows', () => {
    const adapter = { lengthMm: 80, angleDeg: 0 };
    expect(judged(last, 45, { adapter })).toBe('over');
    expect(judged(last, 37.5, { adapter })).toBe('within');
    expect(judged(last, 45, { adapter: { ...adapter, angleDeg: 90 } })).toBe('within');
  });

  it('calls a reading that is far too low too low, and not the wrench wrong', () => {
    expect(judged(last, 5)).toBe('under');
  });

  it('does not trust a wrench out of its range, or overdue', () => {
    expect(judged(last, 45, { range: { lowestNm: 40, highestNm: 330 } })).toBe('tool-out-of-range');
    expect(judged(last, 45, {}, '2027-03-02T08:00:00.000Z')).toBe('out-of-calibration');
    expect(judged(last, 45, { uses: 5_001 })).toBe('out-of-calibration');
    expect(judged(last, 45, { uses: 5_000 })).toBe('within');
    expect(calibrationDue({ calibratedOn: '2026-03-01' }, '2027-03-01T00:00:00.000Z')).toBe(false);
    expect(calibrationDue({ calibratedOn: '2026-03-01' }, '2027-03-01T00:00:00.001Z')).toBe(true);
    expect(calibrationDue({ uses: 9_000 }, '2027-03-02T08:00:00.000Z')).toBe(false);
    expect(calibrationDue({ calibratedOn: '2026-03-01' }, '2027-02-28T08:00:00.000Z')).toBe(false);
  });
});

describe('a bolt straight after its neighbour', () => {
  const circle = holes('circle', 8, 100, 100);
  const order = tighteningOrder(circle);

  it('is told where another was left, and not where the order says so', () => {
    expect(besideTheLast(circle, order, clockwiseOrder(circle))).toEqual([1, 2, 3, 5]);
    expect(besideTheLast(circle, order, order)).toEqual([]);
  });

  it('is told only straight after it, and not at the first touch or the last ones', () => {
    expect(besideTheLast(circle, order, [0, 4, 5])).toEqual([5]);
    expect(besideTheLast(circle, order, [7])).toEqual([]);
    expect(besideTheLast(circle, order, [0, 3])).toEqual([]);
    expect(besideTheLast(circle, order, [0, 1])).toEqual([1]);
    // Nothing but its neighbours is left: there is no other.
    const three = holes('circle', 3, 100, 100);
    expect(besideTheLast(three, tighteningOrder(three), [0, 2])).toEqual([]);
  });

  it('never is what the order of any joint itself says', () => {
    for (const shape of ['circle', 'bell-housing', 'line'] as const)
      for (const count of [4, 7, 10]) {
        const some = holes(shape, count);
        expect(besideTheLast(some, tighteningOrder(some), tighteningOrder(some))).toEqual([]);
      }
  });
});

it('a thread that goes together otherwise wants another figure for the same pull', () => {
  expect(samePullNm(50.5, 'dry', 'oiled')).toBeCloseTo(37.9, 1);
  expect(samePullNm(42, 'threadlocker', 'threadlocker')).toBe(42);
  expect(samePullNm(samePullNm(42, 'dry', 'paste'), 'paste', 'dry')).toBeCloseTo(42, 9);
});
