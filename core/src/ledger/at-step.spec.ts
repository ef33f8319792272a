import { recorder, workOn } from '../testing/crew.js';
import { then } from '../testing/small-job.js';
import { withConnection } from '../testing/small-map.js';
import { countingAt, isDone, startOf, tagAt, type EntryBody, type JobState } from './index.js';

const plan = {
  ...withConnection('radiator-bolts', { fasteners: [{ count: 4, what: 'M8×1.25 × 25, 13 mm' }] }),
  rules: 2,
};
const before = startOf(plan);
const step = (state: JobState, id: string) => {
  const operation = state.work.operations.get(id);
  if (!operation) throw new Error(`There is no step ${id}.`);
  return operation;
};
const at = (id: string, state = before) => countingAt(state, step(state, id));
const out = (more: object): EntryBody => ({
  kind: 'fasteners-counted',
  connection: 'radiator-bolts',
  direction: 'out',
  count: 3,
  ...more,
});
const opened = workOn(before, recorder(), (state) => isDone(state, 'open:radiator-bolts')).state;

describe('what is counted at a step', () => {
  it('is what comes out of a joint as it is opened, into the next bag', () => {
    expect(at('open:radiator-bolts')).toEqual({ direction: 'out', expected: 4, bag: 1 });
    expect(at('open:radiator-bolts', then(opened, out({ bag: 6, kept: 'bag' })))).toMatchObject({ bag: 7 });
    expect(at('open:hose')).toBeUndefined();
    expect(at('remove:radiator')).toBeUndefined();
  });

  it('is what comes out where something is made safe on the strip, and nothing where that is elsewhere', () => {
    const safe = { ...step(before, 'open:radiator-bolts'), kind: 'make-safe' } as const;
    expect(countingAt(before, { ...safe, phase: 'strip' })).toMatchObject({ direction: 'out', expected: 4 });
    expect(countingAt(before, { ...safe, phase: 'handover' })).toBeUndefined();
  });

  it('is what goes back in as it is closed, against what came out, and from where that is', () => {
    expect(at('close:radiator-bolts', opened)).toBeUndefined();
    const counted = then(opened, out({ bag: 6, kept: 'bag' }));
    expect(at('close:radiator-bolts', counted)).toEqual({ direction: 'in', expected: 4, out: 3, from: 'from bag 6' });
    expect(at('close:radiator-bolts', then(opened, out({ kept: 'row' })))).toMatchObject({ from: 'in the row' });
    // On the strip nothing of it goes back in.
    expect(countingAt(counted, { ...step(counted, 'close:radiator-bolts'), kind: 'torque' })).toBeUndefined();
  });
});

describe('the tag at a step', () => {
  it('is the next free one as the joint is opened, and then the one it has', () => {
    const tagged = then(before, { kind: 'tagged', connection: 'sensor', tag: 4 });
    expect(tagAt(before, step(before, 'open:sensor'))).toEqual({ number: 1, fresh: true });
    expect(tagAt(tagged, step(tagged, 'open:sensor'))).toEqual({ number: 4, fresh: false });
    expect(tagAt(tagged, step(tagged, 'open:hose'))).toEqual({ number: 5, fresh: true });
    expect(tagAt(tagged, step(tagged, 'close:sensor'))).toEqual({ number: 4, fresh: false });
    expect(tagAt(tagged, step(tagged, 'close:hose'))).toBeUndefined();
    expect(tagAt(tagged, step(tagged, 'open:cover-bolts'))).toBeUndefined();
  });
});
