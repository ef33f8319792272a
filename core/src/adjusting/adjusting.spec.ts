import fc from 'fast-check';
import { usualMap } from '../layouts/index.js';
import {
  AdjustError,
  beltTensionN,
  gearsFit,
  halfTurnsFit,
  judgeGround,
  judgeSeat,
  looksAtClosing,
  type GearTry,
} from './index.js';

const joint = (layout: string, id: string) => {
  const connection = usualMap(layout).connections.find((one) => one.id === id);
  if (!connection) throw new Error(`${layout} has no ${id}.`);
  return connection;
};

describe('a belt', () => {
  it('is as tight as its note says: 116.6 N', () =>
    expect(beltTensionN({ by: 'frequency', spanMm: 300, gramsPerM: 90, hz: 60 })).toBeCloseTo(116.64, 2));

  it('is as tight as it gives way: a taut string pressed in its middle', () =>
    // The two halves pull up with 2 T δ / (L / 2) against the finger.
    expect(beltTensionN({ by: 'deflection', spanMm: 300, forceN: 20, deflectionMm: 6 })).toBeCloseTo(250, 6));

  it.each([
    [{ by: 'frequency', spanMm: 0, gramsPerM: 90, hz: 60 }, /free span/],
    [{ by: 'frequency', spanMm: 300, gramsPerM: 0, hz: 60 }, /metre of the belt/],
    [{ by: 'frequency', spanMm: 300, gramsPerM: 90, hz: Number.NaN }, /Pluck it/],
    [{ by: 'deflection', spanMm: 300, forceN: 20, deflectionMm: 0 }, /Press it/],
    [{ by: 'deflection', spanMm: 300, forceN: 20, deflectionMm: 40 }, /far too slack/],
  ] as const)('that cannot be is refused: %j', (measured, words) =>
    expect(() => beltTensionN(measured)).toThrow(words),
  );
});

describe('half turns of an adjuster', () => {
  it('tell by two tries what one does, and where to go', () => {
    const fit = halfTurnsFit(
      [
        { halfTurns: 0, reading: 32 },
        { halfTurns: 2, reading: 28 },
      ],
      15,
      25,
    );
    expect(fit).toMatchObject({ within: false, stuck: false, goTo: 6 });
    expect(fit.perHalfTurn).toBeCloseTo(-2, 9);
  });

  it('tell nothing by one try, or by two at the same place', () => {
    expect(halfTurnsFit([{ halfTurns: 0, reading: 32 }], 15, 25)).toEqual({ stuck: false, within: false });
    expect(
      halfTurnsFit(
        [
          { halfTurns: 1, reading: 3 },
          { halfTurns: 1, reading: 4 },
        ],
        5,
        6,
      ).goTo,
    ).toBeUndefined();
  });

  it('that change nothing are said to', () =>
    expect(
      halfTurnsFit(
        [
          { halfTurns: 0, reading: 32 },
          { halfTurns: 4, reading: 32 },
        ],
        15,
        25,
      ),
    ).toMatchObject({
      stuck: true,
    }));

  it('aim at the one limit that is known', () =>
    expect(
      halfTurnsFit(
        [
          { halfTurns: 0, reading: 0 },
          { halfTurns: 1, reading: 5 },
        ],
        20,
      ).goTo,
    ).toBe(4));

  it('are within where the last try was, and never sent farther than anybody turns', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            halfTurns: fc.integer({ min: -20, max: 20 }),
            reading: fc.double({ min: 0, max: 60, noNaN: true }),
          }),
          {
            minLength: 1,
            maxLength: 8,
          },
        ),
        (tries) => {
          const { goTo, within, stuck } = halfTurnsFit(tries, 10, 20);
          const last = tries.at(-1)?.reading ?? 0;
          expect(within).toBe(last >= 10 && last <= 20);
          if (goTo !== undefined) expect(Math.abs(goTo)).toBeLessThanOrEqual(40);
          expect(stuck && goTo !== undefined).toBe(false);
        },
      ),
    );
  });
});

describe('a linkage', () => {
  const gears = ['1', '2', '3', '4', '5', 'R'];
  /** What a linkage gives whose right place is at `centre` and takes `width` half turns either way. */
  const tryAt = (halfTurns: number, centre: number, width: number, inLine = false): GearTry => {
    const goes = (gear: string) => {
      const at = gears.indexOf(gear);
      const side = inLine ? Math.sign(2.5 - at) : at % 2 === 0 ? 1 : -1;
      return side * (halfTurns - centre) >= -width;
    };
    return { halfTurns, went: gears.filter(goes), not: gears.filter((gear) => !goes(gear)) };
  };

  it('with every gear in is done', () =>
    expect(gearsFit(gears, [{ halfTurns: 0, went: gears, not: [] }])).toMatchObject({ all: true, elsewhere: false }));

  it('is not done with one gear left out of the tries', () =>
    expect(gearsFit(gears, [{ halfTurns: 0, went: gears.slice(1), not: [] }]).all).toBe(false));

  it.each([false, true])('is found in a few tries wherever its right place is (in line: %s)', (inLine) => {
    let most = 0;
    for (let centre = -8; centre <= 8; centre += 1)
      for (const width of [1, 2]) {
        const tries: GearTry[] = [tryAt(0, centre, width, inLine)];
        while (!gearsFit(gears, tries, inLine).all && tries.length < 12)
          tries.push(tryAt(gearsFit(gears, tries, inLine).goTo ?? 0, centre, width, inLine));
        expect(gearsFit(gears, tries, inLine).all).toBe(true);
        most = Math.max(most, tries.length);
      }
    expect(most).toBeLessThanOrEqual(6);
  });

  it('that no setting explains is looked for elsewhere', () => {
    const odd = { halfTurns: 0, went: ['2', '3', '4'], not: ['1', 'R', '5'] };
    expect(gearsFit(gears, [odd, { ...odd, halfTurns: 3 }, { ...odd, halfTurns: -3 }]).elsewhere).toBe(true);
  });

  it('says nothing before it was tried', () =>
    expect(gearsFit(gears, [])).toEqual({ all: false, chance: 0, elsewhere: false }));
});

describe('a seat', () => {
  it.each([
    [[22], true, /Home: 22.0 mm/],
    [[24], true, /Home/],
    [[21.6], true, /Home/],
    [[18], false, /4.0 mm short of home/],
  ])('of a converter at %j', (readingsMm, good, words) => {
    const verdict = judgeSeat({ seat: 'converter-depth', readingsMm, figureMm: 22 });
    expect(verdict.good).toBe(good);
    expect(verdict.words).toMatch(words);
  });

  it.each([
    [[34.2, 34.4, 34.1], undefined, true, /Even within 0.3 mm\.$/],
    [[34.2, 34.4, 34.1], 34, true, /at its figure/],
    [[34, 36, 34], undefined, false, /2.0 mm apart/],
    [[34, 34, 34], 38, false, /4.0 mm under the figure: is it the right disc, the right way round/],
  ])('of clutch fingers at %j', (readingsMm, figureMm, good, words) => {
    const verdict = judgeSeat({ seat: 'clutch-fingers', readingsMm, ...(figureMm === undefined ? {} : { figureMm }) });
    expect(verdict.good).toBe(good);
    expect(verdict.words).toMatch(words);
  });

  it.each([
    [{ seat: 'converter-depth', readingsMm: [22] }, /maker’s figure/],
    [{ seat: 'converter-depth', readingsMm: [], figureMm: 22 }, /Measure it first/],
    [{ seat: 'clutch-fingers', readingsMm: [34, 34] }, /at 3 places/],
    [{ seat: 'clutch-fingers', readingsMm: [34, 34, -1] }, AdjustError],
  ] as const)('that was not measured is refused: %j', (reading, words) =>
    expect(() => judgeSeat(reading)).toThrow(words),
  );
});

describe('a ground', () => {
  it.each([
    [{}, undefined],
    [{ ohms: 0.1 }, 'carries'],
    [{ ohms: 0.1, dropV: 0.15 }, 'carries'],
    [{ ohms: 3 }, 'poor'],
    [{ ohms: 0.1, dropV: 0.6 }, 'poor'],
  ])('measured %j', (measured, is) => expect(judgeGround(measured)).toBe(is));
});

describe('what is looked at when a joint goes together', () => {
  it.each([
    ['longitudinal-automatic', 'fuel-feed', ['click!', 'pull!']],
    ['longitudinal-automatic', 'upper-hose', ['way', 'clip', 'rise!']],
    ['longitudinal-automatic', 'coolant-sensor', ['click', 'pull']],
    ['longitudinal-automatic', 'gearbox-cooler-pipes', ['ring']],
    ['transverse-cradle', 'shaft-left-inner', ['caught!', 'pull!']],
    ['longitudinal-automatic', 'belt-run', ['grooves!']],
    ['longitudinal-automatic', 'bell-housing', []],
    ['longitudinal-automatic', 'heater-feed', ['way', 'clip', 'rise!']],
    ['heavy-tilt-cab', 'air-signal', ['click!', 'pull!']],
  ])('on %s, %s', (layout, id, looks) =>
    expect(looksAtClosing(joint(layout, id)).map(({ look, own }) => `${look}${own ? '!' : ''}`)).toEqual(looks),
  );
});
