import type { ForMachine, TestState, TroubleTest } from '../knowledge.js';

type Answers = readonly (readonly [id: string, words: string, usual: number])[];

/** Words by which a test has somebody at the starter. */
const TURNS_THE_KEY = /burst|crank|turned|at the key|five turns/i;

/** One test, on a few lines: what is asked, how, how long, when, and its answers with how usual each is. */
export const test = (
  id: string,
  asked: string,
  how: string,
  minutes: number,
  state: TestState,
  answers: Answers,
  more: { readonly caution?: string; readonly for?: ForMachine } = {},
): TroubleTest => ({
  id,
  asked,
  how,
  minutes,
  state,
  ...(state !== 'standing' || TURNS_THE_KEY.test(`${asked} ${how}`) ? { cranks: true } : {}),
  answers: answers.map(([answer, words, usual]) => ({ id: answer, words, usual })),
  ...more,
});
