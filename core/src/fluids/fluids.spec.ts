import fc from 'fast-check';
import { freezingAtC, FluidError, mixFor, shareFor, startFill, toUpperMarkL, waterFirst, wholeCans } from './index.js';

describe('a coolant mix', () => {
  const van = { capacityL: 9.6, insideL: 9.6 - 6.8, shareInside: 0.33, drainsL: 6.8 };

  it('is reckoned from what is left inside: 3.876 l and 2.924 l', () => {
    const { fills, wastedL } = mixFor(van, 0.5);
    expect(fills).toHaveLength(1);
    expect(fills[0]?.concentrateL).toBeCloseTo(3.876, 3);
    expect(fills[0]?.waterL).toBeCloseTo(2.924, 3);
    expect(wastedL).toBe(0);
  });

  it.each([
    [0, 0],
    [0.3, -13.7],
    [0.45, -30.15],
    [0.5, -36.8],
    [0.6, -52.8],
  ])('of %d freezes at %d °C, and back', (share, celsius) => {
    expect(freezingAtC(share)).toBeCloseTo(celsius, 6);
    expect(shareFor(celsius)).toBeCloseTo(share, 6);
  });

  it('takes rounds where one fill has no room: the old share falls by R / V each time', () => {
    const thin = { ...van, insideL: 6, drainsL: 6.8, shareInside: 0 };
    const { fills, wastedL } = mixFor(thin, 0.55);
    expect(fills.length).toBe(2);
    expect(fills[0]).toMatchObject({ waterL: 0 });
    expect(fills.at(-1)?.shareAfter).toBeCloseTo(0.55, 9);
    expect(wastedL).toBeCloseTo(6.8, 9);
  });

  it('is thinned with water where it is too strong inside', () => {
    const { fills } = mixFor({ capacityL: 10, insideL: 8, shareInside: 0.6, drainsL: 4 }, 0.3);
    expect(fills[0]).toMatchObject({ concentrateL: 0, waterL: 2 });
    expect(fills.at(-1)?.shareAfter).toBeCloseTo(0.3, 9);
  });

  it.each([
    [() => mixFor(van, 0.7), /0 to 60 %/],
    [() => mixFor({ ...van, shareInside: -0.1 }, 0.5), /0 to 100 %/],
    [() => mixFor({ ...van, insideL: 12 }, 0.5), /More is inside than it holds/],
    [() => mixFor({ ...van, insideL: 9, shareInside: 0, drainsL: 0 }, 0.5), /not reached in 1 fill:/],
    [() => mixFor({ ...van, insideL: 9, shareInside: 0, drainsL: 0.1 }, 0.5), /not reached in 12 fills/],
    [() => shareFor(-70), /not to -70/],
    [() => shareFor(10), /not to 10/],
    [() => freezingAtC(Number.NaN), FluidError],
  ])('that cannot be says so', (ask, words) => expect(ask).toThrow(words));

  it('comes out as wanted, with nothing above the brim, whatever was inside', () => {
    const litres = fc.double({ min: 0.5, max: 60, noNaN: true });
    const share = fc.double({ min: 0, max: 0.6, noNaN: true });
    fc.assert(
      fc.property(
        litres,
        share,
        share,
        fc.double({ min: 0.02, max: 0.55, noNaN: true }),
        (capacityL, left, shareInside, wanted) => {
          const insideL = capacityL * left;
          const { fills, concentrateL, waterL, wastedL } = mixFor(
            { capacityL, insideL, shareInside, drainsL: capacityL * 0.6 },
            wanted,
          );
          expect(fills.at(-1)?.shareAfter).toBeCloseTo(wanted, 6);
          for (const fill of fills) expect(Math.min(fill.concentrateL, fill.waterL)).toBeGreaterThanOrEqual(-1e-9);
          // What is poured is what is inside at the end and what was drained between.
          expect(concentrateL + waterL + insideL - wastedL).toBeCloseTo(capacityL, 6);
        },
      ),
    );
  });

  it('with water first costs a drain, and what was inside is thinned: 29 %, 8.5 %, 2.5 %', () => {
    const first = waterFirst(van, 0.5);
    expect(first.firstWaterL).toBeCloseTo(6.8, 9);
    expect(first.shareThen / 0.33).toBeCloseTo(0.29, 2);
    expect(first.then.concentrateL).toBeCloseTo(0.5 * 9.6 - 2.8 * first.shareThen, 9);
    expect(first.moreConcentrateL).toBeGreaterThan(0);
    expect(first.wastedL).toBeCloseTo(6.8, 9);
    expect([1, 2, 3].map((times) => (van.insideL / van.capacityL) ** times)).toEqual([
      expect.closeTo(0.2917, 4),
      expect.closeTo(0.0851, 4),
      expect.closeTo(0.0248, 4),
    ]);
  });
});

describe('oil', () => {
  it('goes in without what filter, cooler and lines take, and that after the first run', () => {
    const fill = startFill(7.2, 0.6, [
      { what: 'filter', litres: 0.6 },
      { what: 'cooler and lines', litres: 0.5 },
    ]);
    expect(fill.startL).toBeCloseTo(5.5, 9);
    expect(fill.afterL).toBeCloseTo(1.1, 9);
  });

  it('is set by the stick', () => {
    expect(toUpperMarkL(1.2, 0.25)).toBeCloseTo(0.9, 9);
    expect(toUpperMarkL(1.2, 1.5)).toBeCloseTo(-0.6, 9);
    expect(() => toUpperMarkL(0, 0.5)).toThrow(FluidError);
    expect(() => toUpperMarkL(1, 5)).toThrow(/off|stick/);
  });
});

describe('whole cans', () => {
  const said = (litres: number, sizes: readonly number[]) =>
    wholeCans(litres, sizes).cans.map(({ sizeL, count }) => `${count} × ${sizeL}`);

  it.each([
    [6.2, [1, 5], ['1 × 5', '2 × 1']],
    [5, [1, 5], ['1 × 5']],
    [5.005, [1, 5], ['1 × 5']],
    [3.876, [1.5], ['3 × 1.5']],
    [34, [20, 5, 1], ['1 × 20', '2 × 5', '4 × 1']],
    [0, [1], []],
  ])('for %d l of %j', (litres, sizes, cans) => expect(said(litres, sizes)).toEqual(cans));

  it('leave less over than any other choice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.uniqueArray(fc.integer({ min: 3, max: 60 }), { minLength: 1, maxLength: 3 }),
        (tenths, sizes) => {
          const { litres, leftL } = wholeCans(
            tenths / 10,
            sizes.map((size) => size / 10),
          );
          expect(litres).toBeGreaterThanOrEqual(tenths / 10 - 0.011);
          expect(leftL).toBeLessThan(Math.min(...sizes) / 10 + 1e-9);
          // Every sum of cans between what is needed and what was chosen would have been better.
          const reached = new Set([0]);
          for (let sum = 0; sum < Math.round(litres * 10); sum += 1)
            if (reached.has(sum)) sizes.forEach((size) => reached.add(sum + size));
          for (let sum = tenths; sum < Math.round(litres * 10); sum += 1) expect(reached.has(sum)).toBe(false);
        },
      ),
    );
  });

  it.each([
    [() => wholeCans(5, []), /which cans/],
    [() => wholeCans(5, [0]), /which cans/],
    [() => wholeCans(1e9, [5]), /2000 l/],
    [() => wholeCans(Number.NaN, [5]), FluidError],
  ])('are refused for nonsense', (ask, words) => expect(ask).toThrow(words));
});
