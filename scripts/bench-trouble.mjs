/**
 * How soon trouble is found: made-up cases drawn from what is known, and, apart from it, from another world in which every
 * likelihood is off, answers are missing and some are wrong. Against going down the list, and against chance.
 */
import {
  beliefs,
  BURNS,
  CAUSES,
  COMPLAINT,
  isFor,
  likelihood,
  nextTests,
  TESTS,
  withComplaint,
} from '@brisk/core/diagnosis';

const KNOWLEDGE = withComplaint({ tests: TESTS, causes: CAUSES });
const MACHINES = BURNS.flatMap((burns) =>
  ['manual', 'automatic'].map((gearbox) => ({
    burns,
    cooled: burns === 'carburettor' && gearbox === 'manual' ? 'air' : 'coolant',
    gearbox,
  })),
);
const LIMITS = [3, 5, 8];

/** A run of numbers from 0 to 1, always the same for a seed (mulberry32). */
function numbers(seed) {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

function drawn(items, weights, next) {
  let left = next() * weights.reduce((sum, weight) => sum + weight, 0);
  return items.find((_, at) => (left -= weights[at]) <= 0) ?? items.at(-1);
}

/** What answers come of a test: by what is known, or, in another world, by likelihoods that are off. */
function answerer(cause, next, { off = 0, missing = 0, wrong = 0 }) {
  return (test) => {
    if (test !== COMPLAINT && next() < missing) return undefined;
    if (next() < wrong)
      return drawn(
        test.answers,
        test.answers.map(() => 1),
        next,
      ).id;
    const weights = test.answers.map(({ id }) => likelihood(cause, test, [id]) * Math.exp(off * (2 * next() - 1)));
    return drawn(test.answers, weights, next).id;
  };
}

const POLICIES = {
  ours: (offered) => offered[0],
  'down the list': (offered) => [...offered].sort((one, other) => placeOf(one.test) - placeOf(other.test))[0],
  'by chance': (offered, next) => offered[Math.floor(next() * offered.length)],
};
function placeOf({ id }) {
  const at = KNOWLEDGE.tests.findIndex((test) => test.id === id);
  return at < 0 ? KNOWLEDGE.tests.length : at;
}

function measured(name, policy, cases, world, seed) {
  const next = numbers(seed);
  const found = Object.fromEntries(LIMITS.map((limit) => [limit, 0]));
  const said = [];
  let minutes = 0;
  for (let number = 0; number < cases; number += 1) {
    const machine = MACHINES[number % MACHINES.length];
    const fitting = KNOWLEDGE.causes.filter((cause) => isFor(cause.for, machine));
    const cause = drawn(
      fitting,
      fitting.map(({ weight }) => weight),
      next,
    );
    const answer = answerer(cause, next, world);
    const evidence = [];
    for (const id of [COMPLAINT.id, 'crank', 'fires']) {
      const given = answer(KNOWLEDGE.tests.find((test) => test.id === id));
      if (given !== undefined) evidence.push({ test: id, answers: [given] });
    }
    let first;
    for (let step = 1; step <= LIMITS.at(-1); step += 1) {
      const believed = beliefs(KNOWLEDGE, machine, new Map(), evidence);
      const offered = nextTests(KNOWLEDGE, machine, believed, evidence);
      const taken = offered.length > 0 ? policy(offered, next) : undefined;
      if (!taken) break;
      if (first === undefined) minutes += taken.test.minutes;
      const given = answer(taken.test);
      evidence.push({ test: taken.test.id, answers: given === undefined ? [] : [given] });
      const [top] = beliefs(KNOWLEDGE, machine, new Map(), evidence);
      said.push([top.chance, top.cause === cause]);
      if (top.cause === cause && top.chance > 0.5) first ??= step;
    }
    for (const limit of LIMITS) if (first !== undefined && first <= limit) found[limit] += 1;
  }
  const sure = said.filter(([chance]) => chance >= 0.75 && chance < 0.85);
  process.stdout.write(
    `${JSON.stringify({
      name,
      cases,
      ...Object.fromEntries(
        LIMITS.map((limit) => [`within ${limit} tests, %`, Math.round((1000 * found[limit]) / cases) / 10]),
      ),
      'minutes a case': Math.round((10 * minutes) / cases) / 10,
      'said at 75 to 85 %, right, %':
        Math.round((1000 * sure.filter(([, right]) => right).length) / Math.max(1, sure.length)) / 10,
    })}\n`,
  );
}

const cases = Number(process.argv[2] ?? 2_000);
for (const [name, policy] of Object.entries(POLICIES)) measured(name, policy, cases, {}, 7);
measured(
  'ours, in another world',
  POLICIES.ours,
  Math.max(1, Math.round(cases / 10)),
  { off: 0.8, missing: 0.1, wrong: 0.08 },
  11,
);
