import type { Deed } from '../connection-map/index.js';
import { teardownOf } from '../teardown/index.js';
import { tractorPlan } from '../testing/tractor-map.js';
import { deedsBack } from './index.js';

const teardown = teardownOf(tractorPlan);
const steps = deedsBack(tractorPlan, teardown);
const only = (id: string) => ({ first: id, last: id });

describe('the steps of the way back by what they are done to', () => {
  it.each<[string, Deed, object | undefined]>([
    ['a joint is closed', { connection: 'hose' }, { close: 'close:hose', ...only('close:hose') }],
    [
      'a mount is started, seated and torqued',
      { connection: 'mount-left' },
      { first: 'start:mount-left', close: 'close:mount-left', last: 'torque:mount-left' },
    ],
    ['one that stays closed is not', { connection: 'pump-bolts' }, undefined],
    ['a part that was off is fitted', { part: 'radiator' }, only('fit:radiator')],
    ['one that was not is not', { part: 'pump' }, undefined],
    ['what was drained is filled', { circuit: 'coolant' }, only('fill:coolant')],
    ['what was not is not', { circuit: 'oil' }, undefined],
    ['what was brought about is ended', { condition: 'hoisted' }, only('release:hoisted')],
    ['what was not is not', { condition: 'warm' }, undefined],
    ['a hold point is signed', { holdPoint: 'pre-lower' }, only('hold:pre-lower')],
    ['a chore is done', { chore: 'look' }, only('do:look')],
    ['a part is looked back to where it came off', { undone: 'radiator' }, only('remove:radiator')],
    ['a joint is looked back to where it was opened', { undone: 'hose' }, only('open:hose')],
    ['nothing is looked back to that was left alone', { undone: 'pump-bolts' }, undefined],
    ['what is renewed is of the bench', { renewal: 'seal' }, undefined],
  ])('%s', (_what, deed, there) => expect(steps(deed)).toEqual(there));

  it('leave out what is left off on purpose', () => {
    const left = deedsBack({ ...tractorPlan, leftOff: ['hose'] }, teardown);
    expect(left({ connection: 'hose' })).toBeUndefined();
    expect(left({ connection: 'filler' })).toMatchObject(only('close:filler'));
    expect(left({ undone: 'hose' })).toEqual(only('open:hose'));
  });
});
