import { FIRE, STOPPED } from './cautions.js';
import type { Cause, ForMachine, TestState, TroubleKnowledge, TroubleTest } from './knowledge.js';
import { TEST_STATES } from './knowledge.js';

/** What a machine is, as far as causes and tests differ by it. */
export interface Machine {
  readonly burns: NonNullable<ForMachine['burns']>[number];
  readonly cooled: 'coolant' | 'air';
  /** Absent: neither one with a clutch nor an automatic. */
  readonly gearbox?: 'manual' | 'automatic';
}

/** What a test came to: one answer, or one of several where that much is known. */
export interface Evidence {
  readonly test: string;
  readonly answers: readonly string[];
}

/** By how much a cause is likelier on this job than on any, and why. */
export interface Raise {
  readonly factor: number;
  readonly because: readonly string[];
}

/** What none of the known causes is. */
export const OTHER = 'other';

/** How much a cause is believed in, and what speaks for it. */
export interface Belief {
  /** The cause, or nothing for “none of these”. */
  readonly cause?: Cause;
  readonly chance: number;
  readonly because: readonly string[];
}

/** The share of trouble that no list has. */
const OTHER_SHARE = 0.03;
/** An answer is misread, or means something else, so often. */
const MISTAKE_SHARE = 0.06;
/** Whoever looks at what is wrong sees it so often. */
const SEEN_SHARE = 0.95;
const FOUND = 'yes';
/** So many of what is most believed in may be looked at outright. */
const MOST_LOOKS = 8;

/** An answer speaks for a cause where it is so many times likelier with it than on the whole. */
const SPEAKS_FOR = 2;

/** Whether something for `only` is for `machine`. */
export function isFor(only: ForMachine | undefined, { burns, cooled, gearbox }: Machine): boolean {
  if (!only) return true;
  return (
    (only.burns === undefined || only.burns.includes(burns)) &&
    (only.cooled === undefined || only.cooled === cooled) &&
    (only.gearbox === undefined || only.gearbox === gearbox)
  );
}

const isOfFuel = ({ systems = [], connections = [], words = [] }: Cause['about']) =>
  systems.includes('fuel') ||
  [...connections, ...words].some((name) => /fuel|petrol|tank|inject|carburettor|rail|pump/.test(name));

/** A look at one cause outright, as a test. */
export function lookAt({ id, name, mend, lookMin, about }: Cause): TroubleTest {
  return {
    id: `look:${id}`,
    asked: `Is it this? ${name}.`,
    how: mend,
    minutes: lookMin,
    state: 'standing',
    looksAt: id,
    caution: isOfFuel(about) ? FIRE : STOPPED,
    answers: [
      { id: FOUND, words: 'That is it', usual: MISTAKE_SHARE },
      { id: 'no', words: 'No', usual: 1 - MISTAKE_SHARE },
    ],
  };
}

/** How likely `test` gives one of `answers` where `cause` is what is wrong; nothing for “none of these”. */
export function likelihood(cause: Cause | undefined, test: TroubleTest, answers: readonly string[]): number {
  if (test.looksAt !== undefined) {
    const found = cause?.id === test.looksAt ? SEEN_SHARE : MISTAKE_SHARE;
    return answers.reduce((sum, answer) => sum + (answer === FOUND ? found : 1 - found), 0);
  }
  const count = test.answers.length;
  return answers.reduce((sum, answer) => {
    const usual = test.answers.find(({ id }) => id === answer)?.usual ?? 0;
    // What nobody knows of shows like anything, and mostly like nothing.
    if (!cause) return sum + (usual + 1 / count) / 2;
    const signs = cause.signs[test.id];
    const own = signs === undefined ? usual : shareOf(signs, answer, count);
    return sum + (1 - MISTAKE_SHARE) * own + MISTAKE_SHARE / count;
  }, 0);
}

/** How likely an answer is by the `signs` of a cause: what is not named shares what is left; where all are, they come to one. */
function shareOf(signs: Readonly<Record<string, number>>, answer: string, count: number): number {
  const named = Object.values(signs);
  const sum = named.reduce((all, one) => all + one, 0);
  if (named.length >= count) return (signs[answer] ?? 0) / sum;
  return signs[answer] ?? Math.max(0, 1 - sum) / (count - named.length);
}

/**
 * How much each cause that fits `machine` is believed in, most first: Bayes over priors (`weight`, raised by `raises`) and the
 * evidence, answers taken as independent given the cause. Of a test that was done twice the last counts. What is `ruledOut` is
 * not among them.
 */
export function beliefs(
  { tests, causes }: TroubleKnowledge,
  machine: Machine,
  raises: ReadonlyMap<string, Raise>,
  evidence: readonly Evidence[],
  ruledOut: ReadonlySet<string> = new Set(),
): readonly Belief[] {
  const fitting = causes.filter((cause) => isFor(cause.for, machine) && !ruledOut.has(cause.id));
  const priors = fitting.map(({ id, weight }) => weight * (raises.get(id)?.factor ?? 1));
  const known = priors.reduce((sum, prior) => sum + prior, 0);
  const seen = lastOfEach([...tests, ...fitting.map(lookAt)], evidence);
  const all: readonly (Cause | undefined)[] = [...fitting, undefined];
  const weights = all.map((cause, at) => {
    const prior = cause ? (priors[at] ?? 0) / known : OTHER_SHARE / (1 - OTHER_SHARE);
    return seen.reduce((weight, { test, answers }) => weight * likelihood(cause, test, answers), prior);
  });
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const chances = weights.map((weight) => weight / total);
  return all
    .map((cause, at): Belief => ({
      ...(cause ? { cause } : {}),
      chance: chances[at] ?? 0,
      because: cause ? [...spokenFor(cause, all, chances, seen), ...(raises.get(cause.id)?.because ?? [])] : [],
    }))
    .sort((one, other) => other.chance - one.chance);
}

interface Seen {
  readonly test: TroubleTest;
  readonly answers: readonly string[];
}

function lastOfEach(tests: readonly TroubleTest[], evidence: readonly Evidence[]): readonly Seen[] {
  return tests.flatMap((test): readonly Seen[] => {
    const last = evidence.findLast((one) => one.test === test.id);
    const answers = last?.answers.filter((answer) => test.answers.some(({ id }) => id === answer)) ?? [];
    return answers.length > 0 ? [{ test, answers }] : [];
  });
}

/** Evidence that is much likelier with `cause` than with the rest, in words. */
function spokenFor(
  cause: Cause,
  all: readonly (Cause | undefined)[],
  chances: readonly number[],
  seen: readonly Seen[],
): readonly string[] {
  return seen.flatMap(({ test, answers }) => {
    if (!cause.signs[test.id] && test.looksAt !== cause.id) return [];
    const others = all.reduce(
      (sum, other, at) => (other === cause ? sum : sum + (chances[at] ?? 0) * likelihood(other, test, answers)),
      0,
    );
    const share = 1 - (chances[all.indexOf(cause)] ?? 0);
    const usual = share > 0 ? others / share : 1;
    return likelihood(cause, test, answers) > SPEAKS_FOR * usual ? [`${test.asked} ${wordsOf(test, answers)}.`] : [];
  });
}

function wordsOf({ answers: known }: TroubleTest, answers: readonly string[]): string {
  return answers.map((answer) => known.find(({ id }) => id === answer)?.words ?? answer).join(', or ');
}

/** What the machine can be asked for, by what was seen: it stands, it can be cranked, it runs. */
export function canBe(evidence: readonly Evidence[]): TestState {
  const last = (test: string) => evidence.findLast((one) => one.test === test)?.answers ?? [];
  const fires = last('fires');
  if (fires.includes('well') || fires.includes('rough')) return 'driving';
  const crank = last('crank');
  return crank.length > 0 && crank.every((answer) => answer === 'nothing' || answer === 'click')
    ? 'standing'
    : 'cranking';
}

/** A test that may be done next: what it is worth, and what each answer would mean. */
export interface NextTest {
  readonly test: TroubleTest;
  /** By how much it clears the question on average, in bits, */
  readonly bits: number;
  /** and for each minute of it. */
  readonly bitsAMinute: number;
  readonly answers: readonly {
    readonly id: string;
    readonly words: string;
    readonly chance: number;
    /** What would lead then, and how far; nothing where none of the known would. */
    readonly leads?: Cause;
    readonly leadsBy: number;
  }[];
}

/** From this chance on the likeliest is minded, where it breaks more with every turn. */
const MINDED_FROM = 0.15;

/** Why nobody turns or runs the engine now: the likeliest of all is something that breaks more with every turn. */
export function stopWords([likeliest]: readonly Belief[]): string | undefined {
  return likeliest && likeliest.chance >= MINDED_FROM ? likeliest.cause?.stop : undefined;
}

/** What can hurt or break something costs so many minutes more; and every test its way there and back, or the cheapest tell nothing. */
const RISK_MIN = 2;
const WAY_MIN = 2;

/**
 * Tests that fit the machine and were not done, the one first that tells most for its minutes: expected drop of the entropy of
 * what is believed, by the minutes it takes and what it risks. None that turns the key unless it `mayCrank`, nor while the
 * likeliest breaks more with every turn.
 */
export function nextTests(
  knowledge: TroubleKnowledge,
  machine: Machine,
  believed: readonly Belief[],
  evidence: readonly Evidence[],
  mayCrank = true,
): readonly NextTest[] {
  const done = new Set(evidence.map(({ test }) => test));
  const reach = TEST_STATES.indexOf(canBe(evidence));
  const now = entropyOf(believed.map(({ chance }) => chance));
  const turns = mayCrank && stopWords(believed) === undefined;
  const canBeDone = (test: TroubleTest) =>
    (turns || !test.cranks) &&
    !done.has(test.id) &&
    isFor(test.for, machine) &&
    TEST_STATES.indexOf(test.state) <= reach;
  const left = knowledge.tests.filter(canBeDone);
  const first = new Set(left.map(({ id }) => id));
  const looks = believed
    .slice(0, MOST_LOOKS)
    .flatMap(({ cause }) => (cause && !cause.lookAfter?.some((id) => first.has(id)) ? [lookAt(cause)] : []));
  return [...left, ...looks.filter(canBeDone)]
    .map((test): NextTest => {
      const answers = test.answers.map(({ id, words }) => {
        const joint = believed.map(({ cause, chance }) => chance * likelihood(cause, test, [id]));
        const chance = joint.reduce((sum, one) => sum + one, 0);
        const after = joint.map((one) => (chance > 0 ? one / chance : 0));
        const leadsBy = Math.max(...after);
        const leads = believed[after.indexOf(leadsBy)]?.cause;
        return { id, words, chance, leadsBy, entropy: entropyOf(after), ...(leads ? { leads } : {}) };
      });
      const bits = now - answers.reduce((sum, { chance, entropy }) => sum + chance * entropy, 0);
      return {
        test,
        bits,
        bitsAMinute:
          bits / (test.minutes + WAY_MIN + (test.caution === undefined || test.looksAt !== undefined ? 0 : RISK_MIN)),
        answers: answers.map(({ entropy: _entropy, ...answer }) => answer),
      };
    })
    .sort((one, other) => other.bitsAMinute - one.bitsAMinute);
}

function entropyOf(chances: readonly number[]): number {
  return chances.reduce((sum, chance) => (chance > 0 ? sum - chance * Math.log2(chance) : sum), 0);
}
