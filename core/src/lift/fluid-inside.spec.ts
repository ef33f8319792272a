import { foldLedger, type EntryBody } from '../ledger/index.js';
import { legsOf } from './legs.js';
import { fluidInside, hangingKg } from './fluid-inside.js';
import { fromBelow } from './from-below.js';
import { liftFor } from './lift-for.js';
import { FIRST_GEAR } from '../rigging/index.js';
import { usualMap } from '../layouts/index.js';
import { RULES_NOW } from '../connection-map/index.js';

const planOf = (layout: string, powerpack: string, route: string) => ({
  map: usualMap(layout),
  powerpack,
  route,
  rules: RULES_NOW,
});
const entry = (body: EntryBody, index = 0) => ({
  ...body,
  id: `0000000${index}-0000-4000-8000-000000000000`,
  at: '2026-03-02T08:00:00.000Z',
  by: 'Ines',
});
const state = (...bodies: readonly EntryBody[]) =>
  foldLedger(planOf('longitudinal-automatic', 'engine-with-gearbox', 'top'), bodies.map(entry));

describe('the fluid that is still inside', () => {
  const oil = (...bodies: readonly EntryBody[]) =>
    fluidInside(state(...bodies)).find(({ circuit }) => circuit === 'gearbox-oil');

  it('is what a circuit holds less what was caught', () => {
    const caught: EntryBody = { kind: 'fluid-measured', circuit: 'gearbox-oil', direction: 'out', litres: 3 };
    expect(oil(caught)).toMatchObject({ part: 'gearbox', litres: expect.closeTo(5.4) as number });
    expect(oil(caught)?.massKg).toBeCloseTo(5.4 * 0.87, 1);
  });

  it('before anybody measured it is what does not run out as a rule', () => {
    const { capacityL = 0, drainsL = 0 } = state().work.plan.map.circuits.find(({ id }) => id === 'engine-oil') ?? {};
    expect(fluidInside(state()).find(({ circuit }) => circuit === 'engine-oil')?.litres).toBeCloseTo(
      capacityL - drainsL,
    );
  });

  it('hangs on the hook, low in its part', () => {
    const dry = liftFor({ ...state(), work: { ...state().work } });
    const [wet] = dry ? legsOf(dry) : [];
    const [empty] = dry ? legsOf({ ...dry, fluids: [] }) : [];
    expect((wet?.massKg ?? 0) - (empty?.massKg ?? 0)).toBeCloseTo(
      fluidInside(state()).reduce((sum, { massKg }) => sum + massKg, 0),
    );
    expect(wet?.centre.z).toBeLessThan(empty?.centre.z ?? 0);
    expect(hangingKg(state())).toBeGreaterThan(empty?.massKg ?? Infinity);
  });
});

describe('the hook of the shop', () => {
  it('limits how high a way may go', () => {
    const low = {
      ...FIRST_GEAR,
      hoists: [
        {
          id: 'low',
          name: 'Low',
          holes: [{ reachMm: 3_000, ratedKg: 2_000, lowestHookMm: 200, highestHookMm: 1_900 }],
        },
      ],
    };
    const zOf = (lift: ReturnType<typeof liftFor>) => (lift ? legsOf(lift)[0]?.scene.zMm[1] : undefined) ?? 0;
    expect(zOf(liftFor(state(), low))).toBeLessThan(zOf(liftFor(state())));
    const none = { ...low, hoists: low.hoists.map((hoist) => ({ ...hoist, holes: [] })) };
    expect(zOf(liftFor(state(), none))).toBe(zOf(liftFor(state(), { ...FIRST_GEAR, hoists: [] })));
  });
});

describe('from below', () => {
  const below = (layout: string, powerpack: string, route: string) => {
    const lift = liftFor(foldLedger(planOf(layout, powerpack, route), []));
    const leg = lift && legsOf(lift).find(({ leg: { by } }) => by !== 'hoist');
    if (!lift || !leg) throw new Error('it leaves from below');
    return { leg, ...fromBelow(leg, FIRST_GEAR, lift.raisedMm) };
  };

  it('the body comes up by what stands on the dolly, the dolly and a margin, less the room under it', () => {
    const { leg, massKg, heightMm, under, carriers, bodyUpMm } = below('transverse-cradle', 'cradle', 'under');
    expect(massKg).toBe(leg.massKg);
    expect(carriers.map(({ gear }) => gear.id)).toEqual(['low-dolly']);
    expect(bodyUpMm).toBeCloseTo(160 + heightMm + 60 - under.heightMm);
  });

  it('a jack that reaches it takes it down as far as it goes; without one it is reckoned from the floor', () => {
    const { heightMm, under, carriers, bodyUpMm } = below('longitudinal-manual', 'gearbox', 'under');
    expect(carriers.map(({ gear, wrong }) => [gear.id, wrong])).toEqual([
      ['trolley-jack', ['does not go high enough']],
      ['gearbox-jack', []],
    ]);
    expect(bodyUpMm).toBeCloseTo(180 + heightMm + 60 - under.heightMm);
    const lift = liftFor(foldLedger(planOf('longitudinal-manual', 'gearbox', 'under'), []));
    const [leg] = lift ? legsOf(lift) : [];
    const bare = leg && fromBelow(leg, { ...FIRST_GEAR, jacks: [] }, 350);
    expect(bare?.bodyUpMm).toBeCloseTo(bodyUpMm - 180);
  });
});
