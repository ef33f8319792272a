import fc from 'fast-check';
import { CyclicMapError, type JobPlan } from '../connection-map/index.js';
import { TEMPLATES, usualMap } from '../layouts/index.js';
import { foldLedger, type JobState } from '../ledger/index.js';
import { FUEL_SCHOOLS, ORDER_SCHOOLS, respects, Search, type School } from '../schedule/index.js';
import { wrongWith } from '../testing/check-schedule.js';
import { recorder, workOn, write } from '../testing/crew.js';
import { randomPlan } from '../testing/random-map.js';
import { searched } from '../testing/short-search.js';
import {
  differencesOf,
  orderOf,
  planned,
  problemFor,
  sheetSetups,
  toolsNeeded,
  usualSettings,
  waitsNow,
} from './index.js';

const minibus: JobPlan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
};
const sweeper: JobPlan = { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under' };
const fresh = foldLedger(minibus, []);
const two = usualSettings(['Ines', 'Tobias']);
describe('the rest of a job as a problem', () => {
  it.each(TEMPLATES.map(({ layout }) => [layout]))('has a sound plan for both halves of %s', (layout) => {
    const map = usualMap(layout);
    const powerpack = map.powerpacks[0]?.id ?? '';
    const route = map.routes.find(({ powerpacks }) => powerpacks?.includes(powerpack) ?? true)?.id ?? '';
    const state = foldLedger({ map, powerpack, route }, []);
    for (const half of ['out', 'back'] as const) {
      const plan = planned(state, half, two, undefined);
      expect(wrongWith(plan.problem, plan.schedule)).toEqual([]);
      expect(wrongWith(plan.problem, searched(plan))).toEqual([]);
      expect(plan.schedule.costs.objective).toBeGreaterThanOrEqual(plan.bound.objective);
    }
  });

  it('leaves out what is done and begins where crew and machine stand', () => {
    const { state } = workOn(fresh, recorder(), (reached) => reached.height === 'raised' && reached.progress.size > 40);
    const problem = problemFor(state, 'out', two);
    expect(problem.operations.length).toBeLessThan(70);
    expect(problem.height).toBe('raised');
    expect(problem.standing?.get('Ines')).toBe('underside');
  });

  it('keeps out what waits for a part, and all that hangs on it', () => {
    const waits = [{ operation: 'open:starter-cable', why: 'The nut is gone' }];
    const problem = problemFor(fresh, 'out', { ...two, waits });
    const held = problem.heldUp.map(({ id }) => id);
    expect(held).toContain('open:starter-signal');
    expect(held).toContain('hold:pre-lift');
    expect(problem.operations.some(({ id }) => held.includes(id))).toBe(false);
  });

  it('lets a seized step wait its minutes while other work goes on', () => {
    const stuck = write(
      workOn(fresh, recorder(), (state) => state.progress.has('hold:made-safe')).state,
      recorder(
        'Tobias',
        '2026-03-03T07:00:00.000Z',
      )({
        kind: 'operation-stuck',
        operation: 'open:downpipe-turbo',
        trouble: 'seized',
        tried: 'Penetrant',
        minutesLost: 10,
      }),
    );
    const waits = waitsNow(stuck);
    expect(waits).toEqual([{ operation: 'open:downpipe-turbo', min: 30, why: 'Stuck: penetrant is given time' }]);
    const { schedule } = planned(stuck, 'out', { ...two, waits }, undefined);
    const begins = schedule.steps.find(({ operation: { id } }) => id === 'open:downpipe-turbo')?.startMin;
    expect(begins).toBeGreaterThanOrEqual(30);
    // Other work goes on: by the time it has soaked, both have done something else.
    const meanwhile = schedule.steps.filter(({ startMin }) => startMin < 30);
    expect(new Set(meanwhile.flatMap(({ people }) => people)).size).toBe(2);
    expect(meanwhile.reduce((sum, { startMin, endMin }) => sum + endMin - startMin, 0)).toBeGreaterThan(40);
  });

  it('has somebody from outside do the licensed work, at the time arranged', () => {
    const plan: JobPlan = { ...sweeper, practice: { along: ['compressor'] } };
    const state = foldLedger(plan, []);
    const waits = [{ operation: 'make:refrigerant-recovered', min: 60, why: 'Arranged with the recovery firm' }];
    const { schedule } = planned(state, 'out', { ...two, waits }, undefined);
    const step = schedule.steps.find(({ operation: { id } }) => id === 'make:refrigerant-recovered');
    expect(step?.people).toEqual([]);
    expect(step?.startMin).toBeGreaterThanOrEqual(60);
  });

  it('keeps a pin, and says which pin cannot be kept', () => {
    const pins = [
      { of: 'open:prop-front', before: 'open:prop-front', after: 'open:intake-duct' },
      { of: 'open:intake-duct', before: 'open:intake-duct', after: 'open:battery-negative' },
    ];
    const plan = planned(fresh, 'out', { ...two, pins }, undefined);
    const order = orderOf(plan.schedule);
    expect(order.indexOf('open:prop-front')).toBeLessThan(order.indexOf('open:intake-duct'));
    expect(plan.problem.lostPins).toEqual([pins[1]]);
  });

  it('is sound on machines nobody has built', () => {
    fc.assert(
      fc.property(
        randomPlan,
        fc.constantFrom(...ORDER_SCHOOLS),
        fc.constantFrom(...FUEL_SCHOOLS),
        (plan, order, fuel) => {
          let state: JobState;
          try {
            state = foldLedger(plan, []);
          } catch (error) {
            if (error instanceof CyclicMapError) return;
            throw error;
          }
          const settings = { ...two, school: { order, fuel } };
          for (const half of ['out', 'back'] as const) {
            const rest = planned(state, half, settings, undefined);
            expect(wrongWith(rest.problem, searched(rest, 60))).toEqual([]);
          }
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('minutes of the shop’s own', () => {
  it('stand in for the map’s, and stretch its span where they lie outside', () => {
    const own = new Map([['open:battery-negative', 40]]);
    const slow = problemFor(fresh, 'out', two, own).operations.find(({ id }) => id === 'open:battery-negative');
    expect(slow?.minutes).toEqual({ low: 1, likely: 40, high: 40 });
    const rest = problemFor(fresh, 'out', two, own).operations.filter(({ id }) => !own.has(id));
    expect(rest).toEqual(problemFor(fresh, 'out', two).operations.filter(({ id }) => !own.has(id)));
  });
});

describe('schools of order', () => {
  const orderFor = (school: School) => {
    const rest = planned(fresh, 'out', { ...two, school }, undefined);
    const search = new Search(rest.net, 1);
    search.run(400);
    expect(respects(search.best().order)).toBe(true);
    return search.best().order.map(({ operation: { id } }) => id);
  };
  const mean = (order: readonly string[], wanted: (id: string) => boolean) => {
    const places = order.flatMap((id, index) => (wanted(id) ? [index] : []));
    return places.reduce((sum, place) => sum + place, 0) / places.length;
  };
  const of = (system: string) => (id: string) =>
    fresh.work.connections.get(id.replace('open:', ''))?.system === system && id.startsWith('open:');

  it('goes system by system', () => {
    const order = orderFor({ order: 'by-system', fuel: 'any-time' });
    expect(mean(order, of('cooling'))).toBeLessThan(mean(order, of('electrics')));
    expect(mean(order, of('electrics'))).toBeLessThan(mean(order, of('driveline')));
  });

  it('works everything above before anything below', () => {
    const order = orderFor({ order: 'by-position', fuel: 'any-time' });
    const below = order.findIndex((id) => id === 'open:prop-front');
    const above = order.findIndex((id) => id === 'open:oil-pressure');
    expect(above).toBeLessThan(below);
  });

  it('peels from the outside in', () => {
    const order = orderFor({ order: 'outside-in', fuel: 'any-time' });
    expect(order.indexOf('remove:bonnet')).toBeLessThan(order.indexOf('open:oil-pressure'));
  });

  it('opens fuel lines early or last', () => {
    const lines = (id: string) =>
      of('fuel')(id) && ['hose', 'pipe'].includes(fresh.work.connections.get(id.replace('open:', ''))?.kind ?? '');
    const early = mean(orderFor({ order: 'quickest', fuel: 'early' }), lines);
    const last = mean(orderFor({ order: 'quickest', fuel: 'last' }), lines);
    expect(early).toBeLessThan(30);
    expect(last).toBeGreaterThan(60);
  });
});

describe('differences', () => {
  it('call as few steps moved as can be', () => {
    const before = planned(fresh, 'out', two, undefined).schedule;
    const steps = [...before.steps];
    const [one] = steps.splice(30, 1);
    if (one) steps.splice(10, 0, one);
    const changed = differencesOf(before, { ...before, steps });
    expect(changed.moved.map(({ operation: { id }, to }) => [id, to])).toEqual([[one?.operation.id, 'earlier']]);
    expect(changed.added).toEqual([]);
  });

  it('name who takes a step over, what is new and what is gone', () => {
    const whole = planned(fresh, 'out', two, undefined).schedule;
    const alone = planned(fresh, 'out', usualSettings(['Tobias']), undefined).schedule;
    const changed = differencesOf(whole, alone);
    expect(changed.handedOn.some(({ from, to }) => from === 'Ines' && to === 'Tobias')).toBe(true);
    expect(changed.finishMin).toBeGreaterThan(0);
    const less = { ...whole, steps: whole.steps.slice(5) };
    expect(differencesOf(whole, less).gone).toHaveLength(5);
    expect(differencesOf(less, whole).added).toHaveLength(5);
  });
});

describe('the sheet people carry', () => {
  it('says what to catch and how much, and every step stands on it once', () => {
    const plan = planned(fresh, 'out', two, undefined);
    const setups = sheetSetups(fresh, plan);
    const trays = setups.flatMap((setup) => setup.trays);
    expect(trays).toContainEqual({ fluid: 'coolant', litres: 6.8 });
    const carried = setups.flatMap(({ operations }) => operations.map(({ id }) => id));
    expect(carried.toSorted()).toEqual(plan.problem.operations.map(({ id }) => id).toSorted());
    expect(setups.filter(({ moveMachine }) => moveMachine)).toHaveLength(1);
    const signing = setups.find(({ operations }) => operations.some(({ id }) => id === 'hold:made-safe'));
    expect(signing?.operations.map(({ id }) => id)).toEqual(['hold:made-safe']);
    const after = setups.slice(setups.findIndex((setup) => setup === signing));
    expect(after.flatMap(({ operations }) => operations).some(({ id }) => id === 'open:battery-negative')).toBe(false);
  });
});

describe('tools', () => {
  it('say what the shop lacks, first of all', () => {
    const operations = [...fresh.work.operations.values()];
    const needs = toolsNeeded(operations, [
      { tool: 'flywheel holder', here: false },
      { tool: 'engine hoist', here: false, hire: 'Hire desk, 40 a day' },
      { tool: 'load leveller', here: true },
    ]);
    const stands = Object.fromEntries(needs.map(({ tool, stands: how }) => [tool, how]));
    expect(stands).toMatchObject({ 'engine hoist': 'hired', 'load leveller': 'here', '13 mm ratchet': 'here' });
    expect(stands['transmission jack']).toBe('unknown');
    const rank = needs.map(({ stands: how }) => ['lacking', 'unknown', 'hired', 'here'].indexOf(how));
    expect(rank).toEqual([...rank].sort((one, other) => one - other));
  });
});
