import { extend, startOf, type EntryBody } from '../ledger/index.js';
import { recorder } from '../testing/crew.js';
import { withConnection } from '../testing/small-map.js';
import { labelsOf, readLabel, rollLabels } from './index.js';

const JOB = '3f0c8a52-8f1e-4d0a-9a51-6a2b1f0e7c11';
const record = recorder();
const plan = withConnection('radiator-bolts', {
  fasteners: [{ count: 5, what: 'M8×1.25 × 25, 13 mm', note: 'one longer' }],
});
const out = (connection: string, count: number, bag: number | undefined, more: object = {}): EntryBody => ({
  kind: 'fasteners-counted',
  connection,
  direction: 'out',
  count,
  ...(bag === undefined ? {} : { bag }),
  ...more,
});
const state = extend(
  startOf(plan),
  [
    out('radiator-bolts', 5, 7, { kept: 'bag', note: 'one has sealant on it' }),
    out('mount-left', 4, 3),
    out('mount-right', 4, undefined, { kept: 'hole' }),
    out('cover-bolts', 6, undefined, { kept: 'card' }),
    { kind: 'tagged', connection: 'hose', tag: 12 },
    { kind: 'tagged', connection: 'sensor', tag: 4 },
  ].map((body) => record(body as EntryBody)),
);

describe('labels of a job', () => {
  it('are two for a tag, one for each half, by number', () => {
    expect(labelsOf(state, JOB, 'tag').map(({ number, title, details }) => [number, title, ...details])).toEqual([
      [4, 'the sensor plug', 'at the engine'],
      [4, 'the sensor plug', 'at the body'],
      [12, 'the lower hose', 'at the water pump'],
      [12, 'the lower hose', 'at the radiator'],
    ]);
  });

  it('are one for a bag, with what is in it; what is not in a bag has none', () => {
    expect(labelsOf(state, JOB, 'bag').map(({ number, title, details }) => [number, title, details])).toEqual([
      [3, 'the left mount', ['4 in it']],
      [7, 'the radiator brackets', ['5 in it', '5 × M8×1.25 × 25, 13 mm, one longer', 'one has sealant on it']],
    ]);
  });

  it('carry a code that leads back to this job and number', () => {
    for (const is of ['tag', 'bag'] as const)
      for (const { path, number } of labelsOf(state, JOB, is))
        expect(readLabel(`http://shop.local${path}`)).toEqual({ is, number, job: '3f0c8a52' });
  });

  it('say what was last written about a set, not what the map said', () => {
    const described = extend(state, [
      record({
        kind: 'set-described',
        connection: 'radiator-bolts',
        sets: [{ count: 4, what: 'M8×1.25 × 30, 13 mm' }],
      }),
    ]);
    expect(labelsOf(described, JOB, 'bag')[1]?.details).toContain('4 × M8×1.25 × 30, 13 mm');
  });
});

describe('a roll printed beforehand', () => {
  it('has each number twice for tags and once for bags, and names no job', () => {
    expect(rollLabels('tag', 98, 3).map(({ number }) => number)).toEqual([98, 98, 99, 99, 100, 100]);
    expect(rollLabels('bag', 1, 2).map(({ path }) => readLabel(path))).toEqual([
      { is: 'bag', number: 1 },
      { is: 'bag', number: 2 },
    ]);
  });
});
