import type { Connection, ConnectionMap, JobPlan } from '../connection-map/index.js';
import { connection, minutes, step } from '../layouts/author.js';
import { smallPlan, smallPlanWith, withMore } from '../testing/small-map.js';
import { workOf } from '../work/index.js';
import { ancestorsOf } from './index.js';

/** `plan` held to the rules of this edition of the product. */
const today = (plan: JobPlan): JobPlan => ({ ...plan, rules: 3 });
const small = workOf(today(smallPlan));

const holding = (id: string, changes: Partial<Connection> = {}): Connection =>
  connection({
    id,
    name: `the ${id}`,
    kind: 'bolted',
    between: ['tank', 'body'],
    system: 'fuel',
    station: 'underside',
    height: 'raised',
    minutes: minutes(1, 2, 4),
    ...changes,
  });
const tank = (massKg: number) => ({
  id: 'tank',
  name: 'tank',
  zone: 'under-rear' as const,
  system: 'fuel' as const,
  massKg,
  removal: step({
    title: 'Lower the tank',
    station: 'underside',
    height: 'raised',
    minutes: minutes(2, 4, 8),
    hands: 2,
  }),
});
/** The small machine with a tank in the way, held by `holders`. */
function withTank(massKg: number, ...holders: readonly Connection[]): JobPlan {
  const { map }: { map: ConnectionMap } = withMore([tank(massKg)], holders);
  return today(
    smallPlanWith({
      ...map,
      routes: map.routes.map((route) => ({
        ...route,
        blockedBy: [...route.blockedBy, { part: 'tank', why: 'It hangs in the way.' }],
      })),
    }),
  );
}

describe('a part that is heavy in the hands', () => {
  it('goes straight on from its last fastener to the floor, and is fastened by whoever sets it back', () => {
    const { runs } = small;
    expect(runs).toContainEqual({ first: 'open:radiator-bolts', then: 'remove:radiator' });
    expect(runs).toContainEqual({ first: 'fit:radiator', then: 'close:radiator-bolts' });
    expect(ancestorsOf('open:radiator-bolts', small).has('open:hose')).toBe(true);
  });

  it('does so from what holds it well, where it is lowered, once all else is off it', () => {
    const work = workOf(
      withTank(
        20,
        holding('strap', { kind: 'strap' }),
        holding('bolts'),
        holding('filler', { kind: 'hose' }),
        holding('bracket', { station: 'rear', height: 'ground' }),
      ),
    );
    expect(work.runs).toContainEqual({ first: 'open:bolts', then: 'remove:tank' });
    for (const other of ['strap', 'filler', 'bracket'])
      expect(ancestorsOf('open:bolts', work).has(`open:${other}`)).toBe(true);
    // It hangs on the bolts before anybody sees to the rest, on the way back.
    expect(work.runs).toContainEqual({ first: 'fit:tank', then: 'close:bolts' });
    for (const other of ['strap', 'filler', 'bracket'])
      expect(ancestorsOf(`close:${other}`, work).has('close:bolts')).toBe(true);
  });

  it('leaves last what the map itself puts last', () => {
    const work = workOf(
      withTank(20, holding('bolts'), holding('strap', { access: [{ open: 'bolts', why: 'Told on the map.' }] })),
    );
    expect(work.runs).toContainEqual({ first: 'open:strap', then: 'remove:tank' });
  });

  it('hangs on what holds it, wherever that is, and not on a hose at the place where it is lowered', () => {
    const work = workOf(withTank(20, holding('filler', { kind: 'hose' }), holding('bolts', { station: 'rear' })));
    expect(work.runs).toContainEqual({ first: 'open:bolts', then: 'remove:tank' });
    expect(ancestorsOf('open:bolts', work).has('open:filler')).toBe(true);
  });

  it('comes off its hoses where nothing else is at it', () => {
    const work = workOf(withTank(20, holding('filler', { kind: 'hose' })));
    expect(work.runs).toContainEqual({ first: 'open:filler', then: 'remove:tank' });
  });

  it('hangs on what is at the place where it is lowered rather than on what holds as well elsewhere', () => {
    const work = workOf(withTank(20, holding('bolts', { station: 'rear' }), holding('link', { kind: 'linkage' })));
    expect(work.runs).toContainEqual({ first: 'open:link', then: 'remove:tank' });
    const elsewhere = workOf(
      withTank(20, holding('strap', { kind: 'strap', station: 'rear' }), holding('bolts', { station: 'rear' })),
    );
    expect(elsewhere.runs).toContainEqual({ first: 'open:bolts', then: 'remove:tank' });
  });

  it('hangs on nothing that the machine would have to be moved for, once that is undone', () => {
    const bracket = holding('bracket', { height: 'ground' });
    expect(workOf(withTank(20, bracket)).runs).not.toContainEqual({ first: 'open:bracket', then: 'remove:tank' });
    expect(workOf(withTank(20, bracket, holding('strap', { kind: 'strap' }))).runs).toContainEqual({
      first: 'open:strap',
      then: 'remove:tank',
    });
    // Where it does not matter how the machine stands, it does not.
    expect(workOf(withTank(20, holding('bolts', { height: 'either' }))).runs).toContainEqual({
      first: 'open:bolts',
      then: 'remove:tank',
    });
    expect(
      workOf(withTank(20, holding('bolts', { height: 'ground' }), holding('lug', { height: 'either' }))).runs,
    ).toContainEqual({ first: 'open:lug', then: 'remove:tank' });
  });

  it('hangs on what is reached from below, where it may be lowered however the machine stands', () => {
    const { map } = withTank(20, holding('bolts'));
    const parts = map.parts.map((part) =>
      part.id === 'tank' && part.removal ? { ...part, removal: { ...part.removal, height: 'either' as const } } : part,
    );
    expect(workOf(today({ ...smallPlan, map: { ...map, parts } })).runs).toContainEqual({
      first: 'open:bolts',
      then: 'remove:tank',
    });
  });

  it('does not hang on what another hangs on already', () => {
    const { map } = withTank(20, holding('bolts', { between: ['tank', 'shield'] }));
    const shield = {
      ...tank(6),
      id: 'shield',
      name: 'shield',
      removal: { ...tank(6).removal, height: 'either' as const },
    };
    const plan = today({
      ...smallPlan,
      map: {
        ...map,
        parts: [...map.parts, shield],
        connections: [...map.connections, holding('clips', { kind: 'clip', between: ['shield', 'body'] })],
      },
    });
    const { runs } = workOf(plan);
    expect(runs).toContainEqual({ first: 'open:bolts', then: 'remove:tank' });
    expect(runs.filter(({ first }) => first === 'open:bolts')).toHaveLength(1);
  });

  it('is none of light ones, nor of work planned before anybody minded', () => {
    expect(workOf(withTank(4, holding('bolts'))).runs).not.toContainEqual({ first: 'open:bolts', then: 'remove:tank' });
    expect(workOf(smallPlan).runs).toEqual([]);
  });
});
