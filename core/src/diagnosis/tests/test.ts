import type { TestState, TroubleTest } from '../knowledge.js';

type Answers = readonly (readonly [id: string, words: string, usual: number])[];

/** One test, on a few lines: what is asked, how, how long, when, and its answers with how usual each is. What is cranking or running turns the key. */
export const test = (
  id: string,
  asked: string,
  how: string,
  minutes: number,
  state: TestState,
  answers: Answers,
  more: Pick<TroubleTest, 'caution' | 'for' | 'cranks'> = {},
): TroubleTest => ({
  id,
  asked,
  how,
  minutes,
  state,
  ...(state === 'standing' ? {} : { cranks: true }),
  answers: answers.map(([answer, words, usual]) => ({ id: answer, words, usual })),
  ...more,
});
