import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { allLifted, isDone, nextUp, startOf, type JobState } from '../ledger/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { then } from '../testing/small-job.js';
import { PURPOSES, readiness, type Purpose } from './index.js';
import { wouldDo } from './would-do.js';

const plan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const upTo = (until: (state: JobState) => boolean) => workOn(startOf(plan), recorder(), until).state;
const against = (state: JobState, purpose: Purpose) =>
  readiness(state)
    .purposes.find((one) => one.purpose === purpose)
    ?.against.map(({ words }) => words) ?? [];

it.each([
  ['longitudinal-automatic', 'battery-negative', 'will-not-crank'],
  ['longitudinal-automatic', 'engine-ground', 'will-not-crank'],
  ['longitudinal-automatic', 'starter-signal', 'will-not-crank'],
  ['longitudinal-automatic', 'starter-cable', 'shorts'],
  ['longitudinal-automatic', 'alternator-cable', 'shorts'],
  ['longitudinal-automatic', 'fuel-feed', 'sprays'],
  ['longitudinal-automatic', 'gearbox-cooler-pipes', 'loses-oil'],
  ['longitudinal-automatic', 'upper-hose', 'loses-coolant'],
  ['longitudinal-automatic', 'crank-sensor', 'will-not-fire'],
  ['longitudinal-automatic', 'mount-left', 'breaks'],
  ['longitudinal-automatic', 'flexplate-bolts', 'breaks'],
  ['longitudinal-automatic', 'selector-rod', 'lurches'],
  ['longitudinal-automatic', 'gearbox-vent', 'looks'],
  ['longitudinal-automatic', 'belt-run', 'runs-badly'],
  ['longitudinal-automatic', 'downpipe-turbo', 'burns'],
  ['transverse-cradle', 'fan-plug', 'runs-badly'],
  ['transverse-cradle', 'wheel-left-bolts', 'hurts'],
  ['frame-four-wheel-drive', 'front-prop-axle', 'hurts'],
])('on %s an open %s would do this: %s', (layout, id, harm) =>
  expect(
    usualMap(layout)
      .connections.filter((one) => one.id === id)
      .map(wouldDo),
  ).toEqual([harm]),
);

it('a loose flywheel speaks against cranking, a loose wheel against running', () => {
  const joints = usualMap('transverse-cradle').connections;
  const harm = (id: string) => joints.filter((one) => one.id === id).map(wouldDo)[0];
  expect(harm('flywheel-bolts')).toBe('breaks');
  expect(harm('wheel-left-bolts')).toBe('hurts');
});

describe('what the key would do', () => {
  it('with the weight on the gear, speaks against everything, turning by hand as well', () => {
    const out = upTo(allLifted);
    for (const purpose of PURPOSES) expect(against(out, purpose).join()).toMatch(/Not done: /);
    expect(readiness(out).warned[0]?.harm).toBe('hangs');
  });

  it('with fuel open speaks against cranking as well: a pump the engine drives sprays', () => {
    const end = upTo((state) => nextUp(state)?.operation.holdPoint === 'pre-start');
    for (const purpose of ['crank-for-oil', 'prime-fuel', 'fire', 'run'] as const)
      expect(against(end, purpose).join()).toMatch(/fuel feed.*nobody looked at it/);
  });

  it('is less and less as the work goes on, and each purpose asks at least what the one before does', () => {
    const end = upTo((state) => nextUp(state)?.operation.holdPoint === 'pre-start');
    expect(readiness(upTo(allLifted)).warned.length).toBeGreaterThan(readiness(end).warned.length);
    for (const state of [upTo(allLifted), end]) {
      const counts = (['fire', 'run'] as const).map((purpose) => against(state, purpose).length);
      expect(counts[1]).toBeGreaterThanOrEqual(counts[0] ?? 0);
    }
  });

  it('names what is not filled, not earthed and not looked at', () => {
    const end = upTo((state) => nextUp(state)?.operation.id === 'fill:engine-oil');
    expect(against(end, 'crank-for-oil')).toContain('Engine oil is not filled');
    const last = upTo((state) => nextUp(state)?.operation.holdPoint === 'pre-start');
    expect(against(last, 'crank-for-oil').join()).toMatch(/ground.*nobody looked at it since it is on/);
    expect(against(last, 'prime-fuel').join()).toMatch(/fuel feed.*nobody looked at it as it went on/);
    expect(against(last, 'by-hand')).toEqual([]);
  });

  it('is nothing on the record once the hold point is signed', () => {
    const signed = upTo((state) => isDone(state, 'hold:pre-start'));
    expect(readiness(signed).warned).toEqual([]);
  });

  it('speaks against cranking where the battery was pulled too low, until the trouble is closed', () => {
    const signed = upTo((state) => isDone(state, 'hold:pre-start'));
    const weak = then(signed, {
      kind: 'start-attempted',
      voltsBefore: 12.1,
      voltsLowest: 9.2,
      crankSeconds: 8,
      result: 'cranks',
    });
    expect(against(weak, 'crank-for-oil').join()).toMatch(/It sank to 9\.2 V while cranking/);
    expect(against(weak, 'by-hand')).toEqual([]);
    const charged = then(weak, { kind: 'cause-found', cause: 'battery-flat', name: 'Flat', mended: 'Charged' });
    expect(readiness(charged).warned).toEqual([]);
  });

  it('keeps what was left off, with its reason', () => {
    const before = upTo((state) => nextUp(state)?.operation.holdPoint === 'made-safe');
    const left = then(upTo(allLifted), {
      kind: 'left-on-purpose',
      connection: 'exhaust-sensor',
      reason: 'On order',
    });
    expect(
      readiness(left)
        .warned.map(({ words }) => words)
        .join(),
    ).toMatch(/Left off: the exhaust temperature sensor\. On order/);
    expect(
      readiness(before)
        .warned.map(({ words }) => words)
        .join(),
    ).not.toMatch(/is safe/);
  });
});
