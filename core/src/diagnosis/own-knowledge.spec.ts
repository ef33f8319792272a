import {
  CAUSES,
  knowledgeOf,
  NO_OWN_KNOWLEDGE,
  problemsOfKnowledge,
  TESTS,
  type Cause,
  type TroubleTest,
} from './index.js';

const shipped = { tests: TESTS, causes: CAUSES };
const mouse: Cause = {
  id: 'mouse',
  name: 'A mouse ate the loom',
  weight: 2,
  about: { systems: ['electrics'] },
  signs: { wiggle: { changes: 0.7 } },
  lookMin: 10,
  mend: 'Splice it, and a cat.',
};

describe('what a shop knows otherwise', () => {
  it('is nothing at first, and then what ships stands', () => {
    const known = knowledgeOf(shipped, NO_OWN_KNOWLEDGE);
    expect(known.tests).toEqual(TESTS);
    expect(known.causes).toEqual(CAUSES);
  });

  it('stands in place of what ships, after it, or leaves it out', () => {
    const [first, second] = CAUSES as readonly [Cause, Cause];
    const known = knowledgeOf(shipped, {
      tests: [],
      causes: [{ ...second, mend: 'As we do it.' }, mouse],
      without: [first.id],
    });
    expect(known.causes[0]).toEqual({ ...second, mend: 'As we do it.' });
    expect(known.causes.at(-1)).toEqual(mouse);
    expect(known.causes.map(({ id }) => id)).not.toContain(first.id);
    expect(problemsOfKnowledge(known)).toEqual([]);
  });

  it('makes a cause the heavier the oftener it was found, and leaves the others', () => {
    const weightOf = (times: number) =>
      knowledgeOf(
        shipped,
        NO_OWN_KNOWLEDGE,
        Array.from({ length: times }, () => ({ cause: 'plug-dirty' })),
      ).causes.find(({ id }) => id === 'plug-dirty')?.weight ?? 0;
    const oneCase = CAUSES.reduce((sum, { weight }) => sum + weight, 0) / 60;
    expect(weightOf(2) - weightOf(0)).toBeCloseTo(2 * oneCase, 9);
    expect(knowledgeOf(shipped, NO_OWN_KNOWLEDGE, [{ cause: 'other' }]).causes).toEqual(CAUSES);
  });

  it('is held to account together with what ships', () => {
    const odd: TroubleTest = {
      ...(TESTS[0] as TroubleTest),
      id: 'odd',
      answers: [{ id: 'a', words: 'A', usual: 1.4 }],
    };
    const problems = problemsOfKnowledge(
      knowledgeOf(shipped, { tests: [odd], causes: [{ ...mouse, signs: { squeak: { loud: 1 } } }], without: [] }),
    ).map(({ at, words }) => `${at}: ${words}`);
    expect(problems).toEqual([
      'odd: A test has two answers or more.',
      'odd: How usual its answers are has to lie between 0 and 1, and come to 1.',
      'mouse: There is no test called “squeak”.',
    ]);
  });
});
