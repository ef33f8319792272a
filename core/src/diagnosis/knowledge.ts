import type { CircuitId, Connection, ConnectionId } from '../connection-map/index.js';

/** What an engine burns and how; a cause or a test may be for some of them only. */
export const BURNS = ['petrol-injected', 'carburettor', 'diesel-rail', 'diesel-mechanical'] as const;
export type Burns = (typeof BURNS)[number];

/** What the machine has to be able to do for a test. */
export const TEST_STATES = ['standing', 'cranking', 'running', 'driving'] as const;
export type TestState = (typeof TEST_STATES)[number];

/** Which machines something is for. Whatever is said has to hold; absent: every one. */
export interface ForMachine {
  readonly burns?: readonly Burns[];
  readonly cooled?: 'coolant' | 'air';
  readonly gearbox?: 'manual' | 'automatic';
}

/** One answer of a test, and how likely it is where nothing is wrong with what it looks at. */
export interface TestAnswer {
  readonly id: string;
  readonly words: string;
  readonly usual: number;
}

/** Something one looks at, listens to or measures to find out what is wrong. */
export interface TroubleTest {
  readonly id: string;
  /** As it is asked: “Does it spark?” */
  readonly asked: string;
  /** How it is done. */
  readonly how: string;
  readonly minutes: number;
  readonly state: TestState;
  /** Somebody turns the key for it: it waits for the hold point before the start. */
  readonly cranks?: true;
  /** It can hurt, or break something: what to watch. */
  readonly caution?: string;
  readonly for?: ForMachine;
  /** The cause it looks at outright, where it is no test of its own. */
  readonly looksAt?: string;
  readonly answers: readonly TestAnswer[];
}

/** What of a machine a cause has to do with. */
export interface About {
  readonly systems?: readonly Connection['system'][];
  readonly kinds?: readonly Connection['kind'][];
  /** Joints by name, as layouts call them. */
  readonly connections?: readonly ConnectionId[];
  /** Joints that open one of these circuits. */
  readonly circuits?: readonly CircuitId[];
  /** Circuits whose want of fluid is it, or may be. */
  readonly dry?: readonly CircuitId[];
  /** Whole words in what a joint is called: only for what a shop writes itself, of joints it found. */
  readonly words?: readonly string[];
}

/** How likely each answer of a test is where this is the cause; what is not named shares what is left. */
export type Signs = Readonly<Record<string, Readonly<Record<string, number>>>>;

/** Something that may be wrong. */
export interface Cause {
  readonly id: string;
  readonly name: string;
  /** How often it is, against the others, after a powerpack was out. */
  readonly weight: number;
  readonly for?: ForMachine;
  readonly about: About;
  readonly signs: Signs;
  /** How many minutes it takes to look at it outright. */
  readonly lookMin: number;
  /** What is done about it. */
  readonly mend: string;
  /** What it costs to turn or to run the engine on with it: nobody does while it is the likeliest. */
  readonly stop?: string;
  /** Tests that come before it is looked at outright: what is measured before anything is taken off. */
  readonly lookAfter?: readonly string[];
}

/** All that is known of what goes wrong. */
export interface TroubleKnowledge {
  readonly tests: readonly TroubleTest[];
  readonly causes: readonly Cause[];
}

/** What is wrong with a piece of knowledge, by where it stands. */
export interface KnowledgeProblem {
  readonly at: string;
  readonly words: string;
}

const NEAR = 1e-6;

/** What does not hold together in `knowledge`: names twice or unknown, likelihoods that are none, answers that do not add up. */
export function problemsOfKnowledge({ tests, causes }: TroubleKnowledge): readonly KnowledgeProblem[] {
  const byId = new Map(tests.map((test) => [test.id, test]));
  const twice = (ids: readonly string[]) => ids.filter((id, at) => ids.indexOf(id) !== at);
  const problems: KnowledgeProblem[] = [
    ...twice(tests.map(({ id }) => id)).map((at) => ({ at, words: 'There are two tests of this name.' })),
    ...twice(causes.map(({ id }) => id)).map((at) => ({ at, words: 'There are two causes of this name.' })),
  ];
  for (const { id, answers, minutes } of tests) {
    const sum = answers.reduce((all, { usual }) => all + usual, 0);
    if (answers.length < 2) problems.push({ at: id, words: 'A test has two answers or more.' });
    if (answers.some(({ usual }) => !(usual > 0 && usual < 1)) || Math.abs(sum - 1) > NEAR)
      problems.push({ at: id, words: 'How usual its answers are has to lie between 0 and 1, and come to 1.' });
    if (!(minutes > 0)) problems.push({ at: id, words: 'It takes more than no minutes.' });
  }
  for (const { id, weight, signs, lookMin } of causes) {
    if (!(weight > 0)) problems.push({ at: id, words: 'Its weight has to be above 0.' });
    if (!(lookMin > 0)) problems.push({ at: id, words: 'To look at it takes more than no minutes.' });
    if (Object.keys(signs).length === 0) problems.push({ at: id, words: 'Nothing would show it.' });
    for (const [test, likely] of Object.entries(signs)) {
      const asked = byId.get(test);
      const stranger = Object.keys(likely).find((answer) => !asked?.answers.some((one) => one.id === answer));
      const sum = Object.values(likely).reduce((all, one) => all + one, 0);
      if (!asked) problems.push({ at: id, words: `There is no test called “${test}”.` });
      else if (stranger !== undefined)
        problems.push({ at: id, words: `“${test}” has no answer called “${stranger}”.` });
      if (Object.values(likely).some((one) => !(one >= 0 && one <= 1)) || sum > 1 + NEAR)
        problems.push({ at: id, words: `How likely the answers of “${test}” are has to lie between 0 and 1.` });
    }
  }
  return problems;
}
