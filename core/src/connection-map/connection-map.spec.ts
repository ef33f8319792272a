import { smallMap, smallPlanWith, withConnection } from '../testing/small-map.js';
import { lumpOf, problemsOf, reachable, type ConnectionMap } from './index.js';

describe('problems with a map', () => {
  const wordsOf = (map: ConnectionMap) => problemsOf(map).map(({ words }) => words);

  it('finds none on the small machine', () => expect(problemsOf(smallMap)).toEqual([]));

  it.each([
    ['an unknown end', withConnection('hose', { between: ['pump', 'nowhere'] }), 'One end is at “nowhere”'],
    ['both ends at one part', withConnection('hose', { between: ['pump', 'pump'] }), 'Both ends are at the same part'],
    ['an unknown condition', withConnection('hose', { needs: ['cold'] }), 'needs a condition “cold”'],
    ['an unknown circuit', withConnection('hose', { circuit: 'milk' }), 'opens a circuit “milk”'],
    [
      'a mount with nothing under it',
      smallPlanWith({
        connections: withConnection('mount-left', { needs: [] }).map.connections,
        routes: smallMap.routes.map((route) => ({ ...route, supports: [] })),
      }),
      'nothing says what takes the weight',
    ],
    [
      'minutes upside down',
      withConnection('hose', { minutes: { low: 9, likely: 3, high: 6 } }),
      'must rise from above nought',
    ],
    [
      'access through a part that stays',
      withConnection('hose', { access: [{ removed: 'battery', why: '' }] }),
      'nothing says how it does',
    ],
    [
      'access past an unknown connection',
      withConnection('hose', { access: [{ open: 'ghost', why: '' }] }),
      'connection “ghost”',
    ],
    [
      'a route that parts what is not there',
      smallPlanWith({
        routes: smallMap.routes.map((route) => ({ ...route, opensToo: [{ connection: 'ghost', why: '' }] })),
      }),
      'It opens “ghost”',
    ],
    [
      'a route for a powerpack that is not there',
      smallPlanWith({ routes: smallMap.routes.map((route) => ({ ...route, powerpacks: ['ghost'] })) }),
      'No route lets the',
    ],
  ])('says what is wrong with %s', (_what, plan, words) => {
    expect(wordsOf(plan.map).join('\n')).toContain(words);
  });

  it('does not believe in a machine that hangs on hundreds of mounts', () => {
    const mount = smallMap.connections.find(({ id }) => id === 'mount-left');
    const many = Array.from(
      { length: 60 },
      (_, index) => ({ ...mount, id: `mount-${index}` }) as (typeof smallMap.connections)[number],
    );
    expect(wordsOf({ ...smallMap, connections: [...smallMap.connections, ...many] }).join(' ')).toMatch(
      /62 connections carry load; more than 40/,
    );
  });

  it('finds doubled names, loose parts and a route that is blocked for good', () => {
    const [first] = smallMap.connections;
    const words = wordsOf(
      smallPlanWith({
        connections: [...smallMap.connections, ...(first ? [first] : [])],
        parts: [...smallMap.parts, { id: 'loose', name: 'loose thing', zone: 'bay-top', system: 'body' }],
        routes: smallMap.routes.map((route) => ({ ...route, blockedBy: [{ part: 'battery', why: '' }] })),
      }).map,
    ).join('\n');
    expect(words).toContain('two connections called “negative”');
    expect(words).toContain('Nothing holds the loose thing');
    expect(words).toContain('“battery” is in the way');
  });
});

describe('the map as a graph', () => {
  it('takes along what rides with a part, to any depth', () => {
    const parts = smallMap.parts.map((part) => (part.id === 'radiator' ? { ...part, ridesWith: 'pump' } : part));
    expect([...lumpOf({ ...smallMap, parts }, ['engine'])].sort()).toEqual(['engine', 'pump', 'radiator']);
  });

  it('does not reach through the powerpack', () => {
    const reached = reachable('body', smallMap.connections, new Set(['engine', 'pump']));
    expect([...reached].sort()).toEqual(['battery', 'body', 'cover', 'radiator']);
  });
});
