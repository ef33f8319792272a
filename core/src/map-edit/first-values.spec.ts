import { TEMPLATES, usualMap } from '../layouts/index.js';
import { smallMap } from '../testing/small-map.js';
import { firstValues, heldBy, kindIn, oddPair } from './index.js';

describe('a connection at the first look', () => {
  it.each([
    ['the small hose behind the pump', 'hose'],
    ['knock sensor', 'plug'],
    ['ground strap at the head', 'ground'],
    ['oil cooler line', 'pipe'],
    ['exhaust hanger', 'strap'],
    ['the bracket', undefined],
  ])('%s is of the kind %s', (name, kind) => {
    expect(kindIn(name)).toBe(kind);
  });

  it('is like what is alike on the map: its minutes, its tools, its system', () => {
    const map = usualMap('longitudinal-automatic');
    const hose = map.connections.find(({ id }) => id === 'upper-hose');
    if (!hose) throw new Error('No hose');
    const like = firstValues(map, { kind: 'hose', between: hose.between, station: 'underside' });
    const minutes = map.connections.filter(({ kind }) => kind === 'hose').map((one) => one.minutes.likely);
    expect(like).toMatchObject({ system: 'cooling', height: 'raised' });
    expect(minutes).toContain(like.minutes.likely);
    expect(minutes.filter((one) => one < like.minutes.likely).length).toBeLessThanOrEqual(minutes.length / 2);
    expect(like.minutes.low).toBeLessThanOrEqual(like.minutes.likely);
    expect(like.tools.length).toBeGreaterThan(0);
    expect(firstValues(map, { kind: 'plug', between: hose.between, station: 'bay-top' })).toMatchObject({
      system: 'electrics',
      height: 'either',
    });
  });

  it('has ordinary minutes where nothing is alike', () => {
    expect(
      firstValues({ ...smallMap, connections: [] }, { kind: 'clip', between: ['pump', 'body'], station: 'front' }),
    ).toMatchObject({
      minutes: { low: 1, likely: 3, high: 9 },
      tools: [],
    });
  });

  it.each([
    ['2 × M8×1.25 × 25, 13 mm', [{ count: 2, what: 'M8×1.25 × 25, 13 mm' }]],
    ['4 x M6', [{ count: 4, what: 'M6' }]],
    ['3 hose clamps', [{ count: 3, what: 'hose clamps' }]],
    ['M8×1.25', [{ count: 1, what: 'M8×1.25' }]],
    ['spring clamp', [{ count: 1, what: 'spring clamp' }]],
    ['  ', []],
  ])('“%s” holds it', (words, sets) => {
    expect(heldBy(words)).toEqual(sets);
  });
});

describe('a pair that can hardly be meant', () => {
  it('is none of those that ship', () => {
    for (const { layout } of TEMPLATES) {
      const map = usualMap(layout);
      for (const { name, kind, between } of map.connections)
        expect([name, oddPair(map, kind, between)]).toEqual([name, undefined]);
    }
  });

  it('is a coolant hose at a loom, fuel to coolant, a plug where nothing is wired', () => {
    const map = usualMap('longitudinal-automatic');
    const part = (system: string) => map.parts.find((one) => one.system === system)?.id ?? '';
    expect(oddPair(map, 'hose', [part('cooling'), part('electrics')])).toMatch(/but current/);
    expect(oddPair(map, 'pipe', [part('fuel'), part('cooling')])).toMatch(/fuel in the one and coolant in the other/);
    expect(oddPair(map, 'plug', [part('cooling'), part('exhaust')])).toMatch(/Neither of them is wired/);
    expect(oddPair(map, 'ground', [part('cooling'), part('exhaust')])).toMatch(/ground ends/);
    expect(oddPair(map, 'shaft', [part('cooling'), part('driveline')])).toMatch(/does not turn/);
    expect(oddPair(map, 'bolted', [part('cooling'), part('driveline')])).toBeUndefined();
    expect(oddPair(map, 'hose', ['nobody', part('driveline')])).toBeUndefined();
  });
});
