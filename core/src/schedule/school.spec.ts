import type { Connection } from '../connection-map/index.js';
import { smallMap } from '../testing/small-map.js';
import { edge, plainStep } from '../testing/random-net.js';
import { stagesOf, type School } from './index.js';

const opens = smallMap.connections.map(({ id, station }) => plainStep(`open:${id}`, { connection: id, station }));
const drain = plainStep('drain:coolant', { kind: 'drain', circuit: 'coolant' });
const cover = plainStep('remove:cover', { kind: 'remove', part: 'cover' });
const hoist = plainStep('make:hoisted', { kind: 'support' });
const steps = [...opens, drain, cover, hoist];

/** The stages of a school on the small machine, whose powerpack is engine and pump. */
const stages = (school: Partial<School>, precedence = [] as ReturnType<typeof edge>[], map = smallMap) =>
  stagesOf({ order: 'quickest', fuel: 'any-time', ...school }, steps, precedence, map, new Set(['engine', 'pump']));
/** The steps stage by stage; of one stage in the order of the map. */
const inOrder = (by: ReturnType<typeof stages>) =>
  steps.map(({ id }) => id).sort((one, other) => (by.get(one) ?? 0) - (by.get(other) ?? 0));

describe('a school of order', () => {
  it('has none of it where the quickest is wanted', () => {
    expect(new Set(stages({}).values())).toEqual(new Set([0]));
  });

  it('by system: fluids, then body, cooling, electrics, and mounts last of what is undone', () => {
    expect(inOrder(stages({ order: 'by-system' }))).toEqual([
      'drain:coolant',
      'open:cover-bolts',
      'remove:cover',
      'open:hose',
      'open:radiator-bolts',
      'open:pump-bolts',
      'open:negative',
      'open:sensor',
      'open:mount-left',
      'open:mount-right',
      'make:hoisted',
    ]);
  });

  it('from the outside in: what is farthest from the powerpack, in front before on top', () => {
    const by = stages({ order: 'outside-in' });
    const at = (id: string) => by.get(id) ?? NaN;
    expect(at('drain:coolant')).toBeLessThan(at('open:radiator-bolts'));
    // The cover is fast to the body alone; the radiator hangs on the pump by one joint.
    expect(at('open:cover-bolts')).toBeLessThan(at('open:radiator-bolts'));
    expect(at('open:radiator-bolts')).toBeLessThan(at('open:hose'));
    expect(at('open:pump-bolts')).toBeLessThan(at('open:sensor'));
    expect(at('open:hose')).toBeLessThan(at('make:hoisted'));
  });

  it('by position: on top before underneath and at the wheels', () => {
    const by = stages({ order: 'by-position' });
    expect(['open:sensor', 'open:radiator-bolts', 'open:hose', 'open:mount-left'].map((id) => by.get(id))).toEqual([
      0, 0, 1, 1,
    ]);
  });

  it('draws what has to come before something early into its stage', () => {
    const by = stages({ order: 'by-system' }, [edge('open:mount-left', 'open:cover-bolts')]);
    expect(by.get('open:mount-left')).toBe(by.get('open:cover-bolts'));
    expect(by.get('open:mount-right')).toBe(9);
  });

  const fuelled = {
    ...smallMap,
    connections: smallMap.connections.map((one): Connection =>
      one.id === 'radiator-bolts' ? { ...one, system: 'fuel', kind: 'pipe' } : one,
    ),
  };

  it('has fuel lines early with what they wait for, or last with what waits for them', () => {
    const edges = [edge('open:cover-bolts', 'open:radiator-bolts'), edge('open:radiator-bolts', 'open:sensor')];
    expect(new Set(inOrder(stages({ fuel: 'early' }, edges, fuelled)).slice(0, 2))).toEqual(
      new Set(['open:cover-bolts', 'open:radiator-bolts']),
    );
    expect(new Set(inOrder(stages({ fuel: 'last' }, edges, fuelled)).slice(-2))).toEqual(
      new Set(['open:radiator-bolts', 'open:sensor']),
    );
    expect(new Set(stages({ fuel: 'any-time' }, edges, fuelled).values())).toEqual(new Set([0]));
  });
});
