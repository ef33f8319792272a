import { usualMap } from '../layouts/index.js';
import { judgeReadings, LOOKS, looksFor, proposedBy } from './index.js';

const plan = { map: usualMap('longitudinal-manual'), powerpack: 'engine-with-gearbox', route: 'top' };
const lookCalled = (id: string) => {
  const look = LOOKS.find((one) => one.id === id);
  if (!look) throw new Error(id);
  return look;
};

describe('readings on the stand', () => {
  it.each([
    [[11.2, 11, 10.9, 11.3], 0, /^Even/],
    [[11, 11, 9.2, 11], 1, /^Cylinder 3 has 84 % of the strongest: again with a spoon of oil/],
    [[11, 11, 8, 11], 2, /^Cylinder 3 has 73 %/],
    [[0, 0], 2, /0 %/],
  ] as const)('compression %j', (values, grade, words) => {
    const judged = judgeReadings('compression', values);
    expect(judged.grade).toBe(grade);
    expect(judged.words).toMatch(words);
  });

  it('holds the weakest to the maker’s least as well', () => {
    expect(judgeReadings('compression', [9, 9.1], { low: 9.5 })).toEqual({
      grade: 2,
      words: 'Cylinder 1 has 9 bar, under the maker’s 9.5.',
    });
  });

  it('judges leak-down by the most, and by the spread', () => {
    expect(judgeReadings('leak-down', [4, 6, 5, 8]).grade).toBe(0);
    expect(judgeReadings('leak-down', [1, 2, 1, 10]).grade).toBe(1);
    expect(judgeReadings('leak-down', [5, 24, 6, 6]).words).toMatch(/^Cylinder 2 loses 24 %: listen/);
  });

  it('says nothing of a figure without limits, and holds it to those there are', () => {
    expect(judgeReadings('end-float', [0.2]).words).toMatch(/Enter them/);
    expect(judgeReadings('end-float', [0.2], { low: 0.05, high: 0.25 }).grade).toBe(0);
    expect(judgeReadings('run-out', [0.02, 0.3], { high: 0.1 })).toEqual({
      grade: 2,
      words: '0.3 mm is outside the maker’s 0 to 0.1 mm.',
    });
  });
});

describe('looks at a unit on the stand', () => {
  it('are those whose part is there, each with a good, a middling and a bad answer', () => {
    const looks = looksFor(plan).map(({ id }) => id);
    expect(looks).toContain('clutch-thickness');
    expect(looks).not.toContain('turbo-play');
    for (const { answers } of LOOKS) expect(answers.map(({ grade }) => grade)).toEqual([0, 1, 2]);
    expect(new Set(LOOKS.map(({ id }) => id)).size).toBe(LOOKS.length);
  });

  it('propose renewals the job has, and none where all is well', () => {
    expect(proposedBy(lookCalled('rear-seal-wear'), 1, plan)).toEqual(['rear-crank-seal']);
    expect(proposedBy(lookCalled('rear-seal-wear'), 0, plan)).toEqual([]);
    expect(proposedBy(lookCalled('gearbox-oil'), 2, plan)).toEqual([]);
  });

  it('propose nothing that no layout has', () => {
    const every = new Set(
      [
        'longitudinal-manual',
        'longitudinal-automatic',
        'rear-flat-air-cooled',
        'utility-belt',
        'heavy-tilt-cab',
      ].flatMap((layout) => usualMap(layout).renewals?.map(({ id }) => id) ?? []),
    );
    for (const { proposes } of LOOKS) for (const id of proposes) expect([id, every.has(id)]).toEqual([id, true]);
  });
});
