import { compose, templateOf, usualMap } from '../layouts/index.js';
import { effectOf } from '../map-edit/index.js';
import { workOf } from '../work/index.js';
import { decisionAt, interfacesOf, minutesFor, pullListOf, sumOf, swapWork, type Decisions } from './index.js';

const host = {
  map: compose(templateOf('longitudinal-manual'), { fuel: 'diesel-rail', boost: 'turbo' }),
  powerpack: 'engine-with-gearbox',
};
const likeHost = { ...host };
const donor = { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox' };
const petrol = {
  map: compose(templateOf('longitudinal-manual'), { fuel: 'petrol-port', boost: 'none', throttle: 'electronic' }),
  powerpack: 'engine-with-gearbox',
};
const at = (id: string, other = donor) => interfacesOf(host, other).find((one) => one.id === id);

describe('where a powerpack meets the machine', () => {
  it('is the same all round for the same machine', () => {
    for (const one of interfacesOf(host, likeHost))
      expect(one).toMatchObject({ proposal: 'as-it-is', differences: [] });
  });

  it('tells what only the donor has, what only the host has, and proposes what to do', () => {
    expect(at('gearbox-main')).toMatchObject({ group: 'sensors', proposal: 'from-donor' });
    expect(at('reverse-lamp')).toMatchObject({ group: 'sensors', proposal: 'not-needed' });
    expect(at('lever-joint')).toMatchObject({ group: 'linkage', proposal: 'make' });
    expect(at('mount-left')).toMatchObject({ group: 'mounts', proposal: 'as-it-is' });
    expect(at('petrol-feed', petrol)).toMatchObject({ group: 'fuel', proposal: 'from-donor' });
  });

  it('says how two joints differ', () => {
    const changed = {
      ...donor,
      map: {
        ...donor.map,
        connections: donor.map.connections.map((one) =>
          one.id === 'downpipe-bracket' ? { ...one, fasteners: [{ count: 3, what: 'M8 stud nut' }] } : one,
        ),
      },
    };
    expect(at('downpipe-bracket', changed)).toMatchObject({
      group: 'exhaust',
      proposal: 'adapt',
      differences: [expect.stringContaining('3 × M8 stud nut on the donor') as string],
    });
  });

  it('groups what belongs together, mounts first', () => {
    const groups = interfacesOf(host, donor).map(({ group }) => group);
    expect(groups[0]).toBe('mounts');
    expect(groups).toEqual([...groups].sort((one, other) => groups.indexOf(one) - groups.indexOf(other)));
  });
});

describe('the refit of a swap', () => {
  const interfaces = interfacesOf(host, donor);
  const plan = { map: host.map, powerpack: 'engine-with-gearbox', route: 'top' };

  it('does what was decided before the joint is closed, and leaves off what is not needed', () => {
    const work = workOf({ ...plan, ...swapWork(interfaces, {}) });
    expect(work.operations.has('adapt:lever-joint')).toBe(true);
    expect(
      work.precedence.some(({ before, after }) => before === 'adapt:lever-joint' && after === 'close:lever-joint'),
    ).toBe(true);
    expect(work.operations.has('open:reverse-lamp')).toBe(true);
    expect(work.operations.has('close:reverse-lamp')).toBe(false);
    expect(
      work.precedence.some(({ before, after }) => before === 'adapt:gearbox-main' && after === 'hold:pre-lower'),
    ).toBe(true);
  });

  it('costs the minutes that the decisions cost', () => {
    const asProposed = effectOf(plan, { ...plan, ...swapWork(interfaces, {}) });
    const cheaper: Decisions = { 'lever-joint': { decision: 'as-it-is' } };
    const less = effectOf(plan, { ...plan, ...swapWork(interfaces, cheaper) });
    if (!asProposed.workable || !less.workable) throw new Error('Neither has anything wrong with it.');
    expect(asProposed.minutes).toBeGreaterThan(0);
    expect(asProposed.minutes - less.minutes).toBe(minutesFor('linkage', 'make').likely);
  });

  it('follows the crew where it decided otherwise', () => {
    const one = interfaces.find(({ id }) => id === 'lever-joint');
    if (!one) throw new Error('The host has a lever.');
    expect(decisionAt(one, {}).decision).toBe('make');
    expect(decisionAt(one, { 'lever-joint': { decision: 'buy', minutes: 20 } })).toEqual({
      decision: 'buy',
      minutes: 20,
    });
    expect(minutesFor('linkage', 'buy', 20).likely).toBe(20);
  });
});

describe('the pull list', () => {
  const groups = pullListOf(host, donor, {});
  const items = groups.flatMap((group) => group.items);

  it('brings the powerpack, what rides on it, and what goes to what only the donor has', () => {
    expect(items.find(({ id }) => id === 'engine')?.why).toBe('It is what you came for.');
    expect(items.find(({ id }) => id === 'converter')?.why).toMatch(/look that it is still on it/);
    expect(items.find(({ id }) => id === 'selector')).toMatchObject({ fit: 'same', station: 'cabin' });
  });

  it('is grouped by where one stands, inside first, the most often forgotten first', () => {
    expect(groups[0]?.station).toBe('cabin');
    expect(groups[0]?.items[0]?.name).toMatch(/control unit/);
    for (const { items: some } of groups) {
      const ranks = some.map(({ forgotten = Infinity }) => forgotten);
      expect(ranks).toEqual([...ranks].sort((one, other) => (one === other ? 0 : one - other)));
    }
  });

  it('does not send anybody for what this donor never had', () => {
    const names = items.map(({ name }) => name).join();
    expect(names).toMatch(/converter bolts/);
    expect(names).not.toMatch(/oxygen sensors|clutch release/);
  });

  it('names nothing twice, and says of a part that it is often forgotten', () => {
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
    expect(new Set(items.map(({ name }) => name)).size).toBe(items.length);
    expect(items.find(({ id }) => id === 'starter')?.forgotten).toBeGreaterThan(0);
  });

  it('adds up prices and core charges', () =>
    expect(sumOf([{ priceCents: 45000, coreChargeCents: 8000 }, {}, { priceCents: 1250 }])).toEqual({
      priceCents: 46250,
      coreChargeCents: 8000,
    }));
});
