import { TEMPLATES, usualMap } from '../layouts/index.js';
import { smallMap } from '../testing/small-map.js';
import { workOf } from '../work/index.js';
import { waysCompared } from './index.js';

describe('ways out side by side', () => {
  it('counts for the small machine what its plan says', () => {
    const [way] = waysCompared(smallMap);
    const work = workOf({ map: smallMap, powerpack: 'engine', route: 'top' });
    expect(way).toMatchObject({ holding: work.boundary.length, opened: 7, fluids: ['Coolant'] });
    expect(way?.comesOff).toEqual(expect.arrayContaining(['radiator', 'cover']));
  });

  it.each(TEMPLATES.map(({ layout }) => layout))('knows every way out of %s, quickest first', (layout) => {
    const map = usualMap(layout);
    const ways = waysCompared(map);
    expect(new Set(ways.map(({ powerpack }) => powerpack.id)).size).toBe(map.powerpacks.length);
    const minutes = ways.map(({ minutesOut, minutesBack }) => minutesOut + minutesBack);
    expect(minutes).toEqual([...minutes].sort((one, other) => one - other));
    for (const way of ways) {
      expect(way.opened).toBeGreaterThanOrEqual(way.holding);
      expect(way.massKg).toBeGreaterThan(0);
    }
  });

  it('finds less to open for a gearbox alone than for the whole powerpack, and more to part when it leaves split', () => {
    const ways = waysCompared(usualMap('longitudinal-manual'));
    const by = (route: string) => ways.find((way) => way.route.id === route);
    expect(by('under')?.opened).toBeLessThan(by('top')?.opened ?? 0);
    expect(by('split')?.minutesOut).toBeGreaterThan(by('top')?.minutesOut ?? Infinity);
    expect(by('top')?.massKg).toBeGreaterThan(by('top-engine')?.massKg ?? Infinity);
  });
});
