import fc from 'fast-check';
import { CyclicMapError, MapError, crossing, lumpOf } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { randomPlan } from '../testing/random-map.js';
import { smallMap, smallPlan, smallPlanWith, withConnection, withMore } from '../testing/small-map.js';
import { connection, minutes, step } from '../layouts/author.js';
import { ancestorsOf, precedenceGraph, requirementsOf, teardownOf, type Teardown } from './index.js';

const before = (teardown: Teardown, id: string) => ancestorsOf(id, precedenceGraph(teardown.precedence));
const reasonsBetween = (teardown: Teardown, first: string, then: string) =>
  teardown.precedence.filter((edge) => edge.before === first && edge.after === then).map(({ reason }) => reason);

describe('what has to be opened', () => {
  it('is every connection with exactly one end in the powerpack, and no other without a reason', () => {
    const { opened } = requirementsOf(smallPlan);
    expect([...opened.keys()].sort()).toEqual(
      ['cover-bolts', 'hose', 'mount-left', 'mount-right', 'negative', 'radiator-bolts', 'sensor'].sort(),
    );
    expect(opened.get('sensor')).toBe('It ties the powerpack to what stays.');
    expect(opened.get('cover-bolts')).toBe('It holds the cover, which has to come off.');
    expect(opened.get('negative')).toMatch(/Battery isolated/);
  });

  it('parts what the route parts, although both ends leave', () => {
    const parting = smallMap.routes.map((route) => ({
      ...route,
      opensToo: [{ connection: 'pump-bolts', why: 'The pump leaves below.' }],
    }));
    expect(requirementsOf(smallPlanWith({ routes: parting })).opened.get('pump-bolts')).toBe('The pump leaves below.');
  });

  it('takes the weight with what the route takes it with, where a mount does not say itself', () => {
    const plan = withConnection('mount-left', { needs: [] });
    const supports = plan.map.routes[0]?.supports ?? [];
    expect(supports.length).toBeGreaterThan(0);
    const ahead = before(teardownOf(plan), 'open:mount-left');
    for (const support of supports) expect(ahead).toContain(`make:${support}`);
  });

  it('refuses a powerpack that does not leave by the route', () => {
    const plan = smallPlanWith({
      powerpacks: [...smallMap.powerpacks, { id: 'other', name: 'Other', roots: ['pump'] }],
      routes: smallMap.routes.map((route) => ({ ...route, powerpacks: ['other'] })),
    });
    expect(() => requirementsOf(plan)).toThrow(/does not leave by the route/);
  });

  it('leaves closed what both ends of come out together', () => {
    expect(requirementsOf(smallPlan).opened.has('pump-bolts')).toBe(false);
  });

  it('follows access to any depth: the screw under the panel under the tray', () => {
    const layer = (index: number) => ({
      id: `layer-${index}`,
      name: `layer ${index}`,
      zone: 'bay-top' as const,
      system: 'body' as const,
      removal: step({ title: `Take layer ${index} off`, station: 'bay-top', minutes: minutes(1, 1, 1) }),
    });
    const hold = (index: number) =>
      connection({
        id: `hold-${index}`,
        name: `layer ${index}`,
        kind: 'bolted',
        between: [`layer-${index}`, 'body'],
        system: 'body',
        station: 'bay-top',
        minutes: minutes(1, 1, 1),
        access: index < 5 ? [{ removed: `layer-${index + 1}`, why: 'It lies under the next.' }] : [],
      });
    const depth = [1, 2, 3, 4, 5];
    const deep = connection({
      id: 'deep',
      name: 'the deep one',
      kind: 'plug',
      between: ['engine', 'body'],
      system: 'electrics',
      station: 'bay-top',
      minutes: minutes(1, 1, 1),
      access: [{ removed: 'layer-1', why: 'It lies under the first.' }],
    });
    const teardown = teardownOf(withMore(depth.map(layer), [...depth.map(hold), deep]));
    expect([...before(teardown, 'open:deep')]).toEqual(
      expect.arrayContaining(depth.map((index) => `remove:layer-${index}`)),
    );
  });

  it('drains a circuit before any joint of it, and says why', () => {
    expect(reasonsBetween(teardownOf(smallPlan), 'drain:coolant', 'open:hose')).toEqual([
      { kind: 'condition', words: 'Coolant drained first, or the coolant runs over you.' },
    ]);
  });

  it('drains only once what covers the drain is off, and what it needs is in force', () => {
    const circuits = smallMap.circuits.map((circuit) => ({
      ...circuit,
      drain: {
        ...circuit.drain,
        needs: ['isolated'],
        access: [{ removed: 'cover', why: 'The cover lies over the drain.' } as const],
      },
    }));
    const teardown = teardownOf(smallPlanWith({ circuits }));
    expect(reasonsBetween(teardown, 'remove:cover', 'drain:coolant')).toEqual([
      { kind: 'access', words: 'The cover lies over the drain.' },
    ]);
    expect(before(teardown, 'drain:coolant').has('open:negative')).toBe(true);
  });

  it('brings a condition about only once what covers it is off', () => {
    const conditions = smallMap.conditions.map((condition) =>
      condition.established.by === 'step'
        ? {
            ...condition,
            established: {
              ...condition.established,
              access: [{ open: 'cover-bolts', why: 'The eye is under the cover.' } as const],
            },
          }
        : condition,
    );
    const teardown = teardownOf(smallPlanWith({ conditions }));
    expect(reasonsBetween(teardown, 'open:cover-bolts', 'make:hoisted').map(({ words }) => words)).toContain(
      'The eye is under the cover.',
    );
  });

  it('refuses a powerpack or a route the machine does not have', () => {
    expect(() => teardownOf({ ...smallPlan, powerpack: 'cradle' })).toThrow(MapError);
    expect(() => teardownOf({ ...smallPlan, route: 'rear' })).toThrow('no route called “rear”');
  });
});

describe('what comes before what', () => {
  it('takes the weight after everything that carries none, and opens mounts last', () => {
    const teardown = teardownOf(smallPlan);
    expect([...before(teardown, 'make:hoisted')]).toEqual(
      expect.arrayContaining(['open:sensor', 'open:hose', 'remove:radiator']),
    );
    expect([...before(teardown, 'open:mount-left')]).toContain('make:hoisted');
    expect(reasonsBetween(teardown, 'open:hose', 'open:mount-left')[0]?.kind).toBe('load path');
  });

  it('lets nothing but making safe come before the made-safe hold point', () => {
    expect([...before(teardownOf(smallPlan), 'hold:made-safe')]).toEqual(['open:negative']);
  });

  it('opens something behind a mount after that mount, load or no load', () => {
    const teardown = teardownOf(
      withConnection('sensor', { access: [{ open: 'mount-left', why: 'Behind the mount.' }] }),
    );
    expect([...before(teardown, 'open:sensor')]).toContain('open:mount-left');
  });

  it('names the connections of a loop', () => {
    const looped = smallPlanWith({
      connections: smallMap.connections.map((one) => {
        if (one.id === 'hose') return { ...one, access: [{ open: 'sensor', why: 'Behind the plug.' }] };
        if (one.id === 'sensor') return { ...one, access: [{ open: 'hose', why: 'Behind the hose.' }] };
        return one;
      }),
    });
    const act = () => teardownOf(looped);
    expect(act).toThrow(CyclicMapError);
    expect(act).toThrow(/the lower hose.*the sensor plug|the sensor plug.*the lower hose/);
    try {
      act();
    } catch (error) {
      expect([...(error as CyclicMapError).connections].sort()).toEqual(['hose', 'sensor']);
    }
  });

  it('gives every edge a reason in words', () => {
    const { precedence } = teardownOf({
      map: usualMap('longitudinal-automatic'),
      powerpack: 'engine-with-gearbox',
      route: 'top',
    });
    for (const { reason } of precedence) expect(reason.words).toMatch(/^[A-Z0-9].*[.!?]$/);
  });
});

describe('on machines nobody has built', () => {
  it('every boundary connection and everything needed to reach it stands before the pre-lift hold point', () => {
    fc.assert(
      fc.property(randomPlan, (plan) => {
        let teardown: Teardown;
        try {
          teardown = teardownOf(plan);
        } catch (error) {
          return error instanceof CyclicMapError && error.connections.length > 0;
        }
        const ready = before(teardown, 'hold:pre-lift');
        const boundary = crossing(plan.map.connections, lumpOf(plan.map, ['engine']));
        return (
          boundary.every(({ id }) => ready.has(`open:${id}`)) &&
          plan.map.connections
            .filter(({ id }) => teardown.opened.has(id))
            .every(({ id, access }) =>
              access.every((need) =>
                before(teardown, `open:${id}`).has('open' in need ? `open:${need.open}` : `remove:${need.removed}`),
              ),
            )
        );
      }),
      { numRuns: 150 },
    );
  });
});
