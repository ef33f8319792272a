import { RULES_NOW } from '../connection-map/index.js';
import { TEMPLATES, usualMap } from '../layouts/index.js';
import { isDone, nextUp, openItems, startOf, type EntryBody } from '../ledger/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { refused, then } from '../testing/small-job.js';
import type { KeptBurst } from '../instrument/index.js';
import {
  beliefs,
  CAUSES,
  evidenceOf,
  jointsOf,
  lookAt,
  machineOf,
  placesOf,
  raisesOf,
  readByBox,
  ruledOut,
  TESTS,
} from './index.js';

const plan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const atTheStart = workOn(
  startOf(plan),
  recorder(),
  (state) => nextUp(state)?.operation.holdPoint === 'pre-start',
).state;
const signed = workOn(atTheStart, recorder(), (state) => isDone(state, 'hold:pre-start')).state;
const attempt = (
  voltsBefore: number,
  voltsLowest: number,
  result: 'cranks' | 'no-crank' | 'runs-rough',
): EntryBody => ({
  kind: 'start-attempted',
  voltsBefore,
  voltsLowest,
  crankSeconds: 8,
  result,
});
const cause = (id: string) => CAUSES.find((one) => one.id === id) ?? (CAUSES[0] as (typeof CAUSES)[number]);

it.each([
  ['longitudinal-automatic', { burns: 'diesel-rail', cooled: 'coolant', gearbox: 'automatic' }],
  ['longitudinal-manual', { burns: 'petrol-injected', cooled: 'coolant', gearbox: 'manual' }],
  ['rear-flat-air-cooled', { burns: 'carburettor', cooled: 'air', gearbox: 'manual' }],
  ['heavy-tilt-cab', { burns: 'diesel-rail', cooled: 'coolant' }],
])('%s is %j', (layout, machine) => expect(machineOf(usualMap(layout))).toMatchObject(machine));

it('is known of every layout', () => {
  for (const { layout } of TEMPLATES) expect(machineOf(usualMap(layout)).burns).toBeTruthy();
});

describe('what this job makes likelier', () => {
  it('is what is open, then what nobody looked at, then what was only off; each by its name', () => {
    const raises = raisesOf(atTheStart, CAUSES);
    expect(raises.get('engine-ground')).toMatchObject({
      factor: 7,
      because: [expect.stringMatching(/ was not looked at as it went on/), expect.anything()],
    });
    const unlooked = raisesOf({ ...atTheStart, looks: new Map() }, CAUSES).get('injector-plug');
    expect(unlooked?.because[0]).toMatch(/was not looked at as it went on|was off on this job/);
    const open = workOn(startOf(plan), recorder(), (state) => isDone(state, 'open:crank-sensor')).state;
    expect(raisesOf(open, CAUSES).get('crank-sensor')).toMatchObject({
      factor: 20,
      because: ['The crankshaft sensor is still open.'],
    });
  });

  it('is nothing on a machine nobody touched', () => expect(raisesOf(startOf(plan), CAUSES).size).toBe(0));

  it('says where a test is done: at what it looks at, at every plug that was off, or at what is believed in', () => {
    const test = (id: string) => TESTS.find((one) => one.id === id) as (typeof TESTS)[number];
    const believed = beliefs({ tests: TESTS, causes: CAUSES }, machineOf(plan.map), raisesOf(signed, CAUSES), []);
    const plugs = placesOf(signed, test('wiggle'), believed);
    expect(plugs.length).toBeGreaterThan(10);
    expect(plugs.every(({ kind }) => kind === 'plug')).toBe(true);
    expect(placesOf(signed, lookAt(cause('main-cable')), believed).map(({ id }) => id)).toContain('starter-cable');
    expect(placesOf(signed, test('drop-ground'), believed).map(({ kind }) => kind)).toContain('ground');
    expect(placesOf(startOf(plan), test('wiggle'), believed)).toEqual([]);
  });

  it('says where to look', () =>
    expect(jointsOf(atTheStart, cause('main-cable')).map(({ id }) => id)).toContain('starter-cable'));
});

describe('what is known of the trouble', () => {
  it('is what the attempt gave, in its volts and what it did', () => {
    expect(evidenceOf(then(signed, attempt(11.7, 9.2, 'cranks')))).toEqual([
      // What is complained of is said with it, and not asked again.
      { test: 'complaint', answers: ['no-start'] },
      { test: 'rest-volts', answers: ['low'] },
      { test: 'crank-volts', answers: ['low'] },
      { test: 'crank', answers: ['normal', 'slow', 'fast'] },
      { test: 'fires', answers: ['never'] },
    ]);
    expect(evidenceOf(then(signed, attempt(25.1, 20, 'runs-rough'))).slice(0, 2)).toEqual([
      { test: 'complaint', answers: ['rough'] },
      { test: 'rest-volts', answers: ['ok'] },
    ]);
  });

  it('leaves out what cannot be: where the engine turned, the starter meshed', () => {
    const believed = (result: 'cranks' | 'no-crank') => {
      const state = then(signed, attempt(12.6, 10.2, result));
      const machine = machineOf(state.work.plan.map);
      return beliefs(
        { tests: TESTS, causes: CAUSES },
        machine,
        raisesOf(state, CAUSES),
        evidenceOf(state),
        ruledOut(state),
      ).map(({ cause: one }) => one?.id);
    };
    expect(believed('cranks')).not.toContain('starter-mesh');
    expect(believed('no-crank')).toContain('starter-mesh');
  });

  it('is what the box read, where it tells things apart; and what the tester said', () => {
    const read: KeptBurst = {
      from: 'simulated',
      crankRpm: 110,
      cylinders: 4,
      weak: 3,
      pressureAfterS: 1.2,
      oilBar: 1,
      fuelBar: 0.2,
      manifoldBar: -0.05,
      codes: ['Crankshaft sensor, no signal'],
    };
    const petrol = then(
      workOn(startOf({ ...plan, map: usualMap('longitudinal-manual') }), recorder(), (state) =>
        isDone(state, 'hold:pre-start'),
      ).state,
      { ...attempt(12.6, 10.2, 'cranks'), read } as EntryBody,
    );
    const last = (test: string) => evidenceOf(petrol).findLast((one) => one.test === test)?.answers;
    expect(last('crank')).toEqual(['slow']);
    expect(last('compression')).toEqual(['one']);
    expect(last('oil-gauge')).toEqual(['shows']);
    expect(last('fuel-pressure')).toEqual(['none']);
    // There is no vacuum to speak of while it is only cranked.
    expect(last('vacuum')).toBeUndefined();
    expect(last('codes')).toEqual(['speed']);
    const told = then(petrol, {
      kind: 'codes-read',
      when: 'since',
      warnings: ['Misfire cyl 2', 'Air leak', 'Immobiliser'],
    });
    expect(evidenceOf(told).findLast(({ test }) => test === 'codes')?.answers).toEqual(['many']);
  });

  it('leads, from the box alone, to the signal that does not come', () => {
    const machine = { burns: 'petrol-injected', cooled: 'coolant', gearbox: 'manual' } as const;
    const read: KeptBurst = { from: 'box', crankRpm: 220, noSignal: true, cylinders: 4, codes: ['Crank sensor'] };
    const [first] = beliefs({ tests: TESTS, causes: CAUSES }, machine, new Map(), readByBox(read, 'cranks', machine));
    expect(first?.cause?.id).toMatch(/crank-sensor/);
    expect(readByBox({ from: 'box', crankRpm: 0 }, 'no-crank', machine)).toEqual([]);
    expect(readByBox({ from: 'box', crankRpm: 400, hottestC: 118, oilBar: 0 }, 'runs', machine)).toEqual([
      { test: 'crank', answers: ['fast'] },
      { test: 'oil-gauge', answers: ['none'] },
      { test: 'temperature', answers: ['hot'] },
    ]);
  });

  it('is not what was cranked for oil, which never was to fire', () => {
    expect(evidenceOf(then(atTheStart, { ...attempt(12.6, 10.2, 'cranks'), purpose: 'oil' } as EntryBody))).toEqual([]);
  });

  it('ends where the cause was found, and stands open until then', () => {
    const test: EntryBody = {
      kind: 'trouble-test-done',
      test: 'spark',
      asked: 'Does it spark?',
      answer: 'one',
      answered: 'Missing on one',
    };
    const looking = then(signed, attempt(12.6, 10.2, 'runs-rough'), test);
    expect(evidenceOf(looking)).toContainEqual({ test: 'spark', answers: ['one'] });
    expect(openItems(looking).map(({ words }) => words)).toContain('Trouble not found yet: 1 test done');
    const found = then(looking, {
      kind: 'cause-found',
      cause: 'coil-plug',
      name: 'A coil is unplugged',
      mended: 'Pushed home',
    });
    expect(evidenceOf(found)).toEqual([]);
    expect(
      openItems(found)
        .map(({ words }) => words)
        .join(),
    ).not.toMatch(/Trouble/);
  });

  it('is not written of a machine that is handed over', () => {
    const over = workOn(signed, recorder(), (state) => state.handedOver !== undefined).state;
    expect(refused(over, { kind: 'cause-found', cause: 'other', name: 'A', mended: 'B' })).toMatch(/handed over/);
  });
});
