import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { allLifted, isDone, startOf } from '../ledger/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { refused, then } from '../testing/small-job.js';
import { sortWarning, warningsIn } from './index.js';

const plan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const signed = workOn(startOf(plan), recorder(), (state) => isDone(state, 'hold:pre-start')).state;
const out = workOn(startOf(plan), recorder(), allLifted).state;
const LAMP = 'Exhaust temperature sensor, circuit open';

it('warnings are read line by line, without their numbers and none twice', () =>
  expect(warningsIn('1. Glow lamp\r\n\n- Boost low \n2) Glow lamp\n')).toEqual(['Glow lamp', 'Boost low']));

describe('a warning', () => {
  it('that was there before the job is stored', () =>
    expect(sortWarning(signed, 'Glow lamp', ['glow LAMP'])).toMatchObject({
      sort: 'stored',
      why: 'It was there before the job.',
    }));

  it('of a joint that is open is still unplugged, and names it', () =>
    expect(sortWarning(out, LAMP, [])).toMatchObject({
      sort: 'still-unplugged',
      why: 'The exhaust temperature sensor is still open.',
      connection: { id: 'exhaust-sensor' },
    }));

  it('left off says so', () => {
    const left = then(out, { kind: 'left-on-purpose', connection: 'exhaust-sensor', reason: 'On order' });
    expect(sortWarning(left, LAMP, []).why).toBe('The exhaust temperature sensor is left off.');
  });

  it('that came with low volts is of those; of two batteries by half', () => {
    expect(sortWarning(signed, LAMP, [], 8.9)).toMatchObject({ sort: 'low-voltage', why: 'It came with 8.9 V.' });
    expect(sortWarning(signed, LAMP, [], 20)).toMatchObject({ sort: 'real' });
    const weak = then(signed, {
      kind: 'start-attempted',
      voltsBefore: 12.1,
      voltsLowest: 9.1,
      crankSeconds: 5,
      result: 'cranks',
    });
    expect(sortWarning(weak, 'Steering assistance lost', [])).toMatchObject({ sort: 'low-voltage' });
  });

  it('is real otherwise, and begins at what was off near it', () => {
    expect(sortWarning(signed, LAMP, [])).toMatchObject({
      sort: 'real',
      why: 'The exhaust temperature sensor was off on this job: look there first.',
    });
    expect(sortWarning(signed, 'Seat belt', [])).toMatchObject({ sort: 'real' });
    expect(sortWarning(signed, 'Seat belt', []).connection).toBeUndefined();
  });
});

it('a scan from before the job is none once it was cranked', () => {
  const cranked = then(signed, {
    kind: 'start-attempted',
    voltsBefore: 12.6,
    voltsLowest: 10.1,
    crankSeconds: 5,
    result: 'cranks',
  });
  expect(refused(cranked, { kind: 'codes-read', when: 'before', warnings: ['Glow lamp'] })).toMatch(/cranked already/);
  expect(refused(cranked, { kind: 'codes-read', when: 'since', warnings: [] })).toBe('');
});
