import type { CheckScope } from '../connection-map/index.js';
import { smallPlan } from '../testing/small-map.js';
import { isForJob, teardownOf } from './index.js';

const teardown = teardownOf(smallPlan);
const isFor = (where?: CheckScope) => isForJob(where, smallPlan, teardown);

describe('a step that is only for some jobs', () => {
  it('is for every job where it says nothing', () => {
    expect(isFor()).toBe(true);
    expect(isFor({})).toBe(true);
  });

  it.each<[string, CheckScope, CheckScope]>([
    ['what comes out', { comesOut: 'pump' }, { comesOut: 'radiator' }],
    ['what stays in', { staysIn: 'radiator' }, { staysIn: 'pump' }],
    ['a system that is opened', { opened: 'cooling' }, { opened: 'exhaust' }],
    ['joints of which one is opened', { touches: ['pump-bolts', 'hose'] }, { touches: ['pump-bolts'] }],
    ['a circuit that is emptied', { drained: 'coolant' }, { drained: 'oil' }],
    ['a circuit that keeps what is in it', { notDrained: 'oil' }, { notDrained: 'coolant' }],
  ])('goes by %s', (_what, holds, doesNot) => {
    expect(isFor(holds)).toBe(true);
    expect(isFor(doesNot)).toBe(false);
  });

  it('does not go by a system of which nothing is opened', () => {
    const opened = new Map([['negative', 'So.']]);
    expect(isForJob({ opened: 'cooling' }, smallPlan, { ...teardown, opened })).toBe(false);
    expect(isForJob({ opened: 'electrics' }, smallPlan, { ...teardown, opened })).toBe(true);
  });

  it('has to be for it by all that it says', () => {
    expect(isFor({ comesOut: 'pump', drained: 'coolant' })).toBe(true);
    expect(isFor({ comesOut: 'pump', drained: 'oil' })).toBe(false);
    expect(isFor({ comesOut: 'radiator', drained: 'coolant' })).toBe(false);
  });
});
