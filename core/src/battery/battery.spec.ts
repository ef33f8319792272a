import { BatteryError, batteryNow, burstsLeft, cableDropV, chargeTimeH, whereLost, type Battery } from './index.js';

const battery: Battery = { kind: 'flooded', volts: 12, capacityAh: 70, restV: 12.45, celsius: 20 };

describe('what is in a battery', () => {
  it.each([
    [battery, 0.75, 52.5],
    [{ ...battery, restV: 24.9, volts: 24 }, 0.75, 52.5],
    [{ ...battery, kind: 'agm', restV: 12.6 }, 0.75, 52.5],
    [{ ...battery, celsius: 0 }, 0.75, 42],
    [{ ...battery, celsius: -30 }, 0.75, 26.25],
  ] as const)('%j: %d charged, %d Ah there', (one, charge, there) => {
    const now = batteryNow(one as Battery);
    expect(now.charge).toBeCloseTo(charge, 6);
    expect(now.thereAh).toBeCloseTo(there, 6);
    expect(now.tooLow).toBe(false);
  });

  it('is too low under 11.8 V, and 23.6 V of two', () => {
    expect(batteryNow({ ...battery, restV: 11.7 }).tooLow).toBe(true);
    expect(batteryNow({ ...battery, volts: 24, restV: 23.5 }).tooLow).toBe(true);
  });

  it.each([
    [{ restV: 25 }, /other voltage/],
    [{ restV: Number.NaN }, /other voltage/],
    [{ capacityAh: 0 }, /1 to 1000 Ah/],
    [{ capacityAh: 1e9 }, /1 to 1000 Ah/],
    [{ celsius: 900 }, /−50 to 70/],
  ])('that cannot be is refused: %j', (change, words) =>
    expect(() => batteryNow({ ...battery, ...change })).toThrow(words),
  );
});

describe('what a start takes', () => {
  it('is fewer bursts the emptier, the colder and the harder', () => {
    const full = { ...battery, restV: 12.65 };
    expect(burstsLeft(full, 200, 10)).toBeGreaterThan(burstsLeft(battery, 200, 10));
    expect(burstsLeft(battery, 200, 10)).toBeGreaterThan(burstsLeft(battery, 400, 10));
    expect(burstsLeft(full, 200, 10)).toBeGreaterThan(burstsLeft({ ...full, celsius: -10 }, 200, 10));
    expect(burstsLeft({ ...battery, restV: 11.7 }, 200, 10)).toBe(0);
    // 17.5 Ah above half; 200 A for 10 s with Peukert’s 2.25 take 1.25 Ah.
    expect(burstsLeft(battery, 200, 10)).toBe(14);
    expect(() => burstsLeft(battery, 0, 10)).toThrow(BatteryError);
  });

  it('charges at the figure until 80 %, and half as fast above', () => {
    expect(chargeTimeH(70, 0.25, 4, 0.8)).toBeCloseTo((70 * 0.55 * 1.2) / 4, 9);
    expect(chargeTimeH(70, 0.25, 4)).toBeCloseTo((70 * (0.55 + 0.4) * 1.2) / 4, 9);
    expect(chargeTimeH(70, 1, 4)).toBe(0);
    expect(() => chargeTimeH(70, 0.25, 0)).toThrow(/more than 0 A/);
  });

  it('loses 0.41 V in 2.4 m of 50 mm² at 250 A', () => {
    expect(cableDropV(250, 2.4, 50)).toBeCloseTo(0.414, 3);
    expect(() => cableDropV(250, 2.4, 0)).toThrow(/mm²/);
  });
});

it.each([
  [12, 10.8, 0.9, 0.1, true, 'ground'],
  [12, 10.8, 0.1, 0.9, true, 'plus'],
  [12, 8.9, 0.1, 0.1, true, 'battery'],
  [12, 11.2, 0.1, 0.1, true, 'starter'],
  [12, 10.6, 0.1, 0.1, false, 'nowhere'],
  [24, 20.2, 0.4, 0.4, false, 'nowhere'],
  [24, 18.5, 0.1, 0.1, true, 'battery'],
] as const)('%d V, %d V while cranking, %d V and %d V lost: in the %s', (volts, crank, ground, plus, slow, at) =>
  expect(whereLost(volts, crank, ground, plus, slow)).toBe(at),
);
