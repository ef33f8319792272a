import fc from 'fast-check';
import {
  beliefs,
  CAUSES,
  canBe,
  COMPLAINT,
  isFor,
  likelihood,
  nextTests,
  problemsOfKnowledge,
  stopWords,
  TESTS,
  withComplaint,
  type Cause,
  type Evidence,
  type Machine,
} from './index.js';

const KNOWLEDGE = withComplaint({ tests: TESTS, causes: CAUSES });
const minibus: Machine = { burns: 'diesel-rail', cooled: 'coolant', gearbox: 'automatic' };
const pickup: Machine = { burns: 'petrol-injected', cooled: 'coolant', gearbox: 'manual' };
const NONE = new Map();
const saw = (...pairs: readonly string[]): readonly Evidence[] =>
  pairs.map((pair) => {
    const [test = '', answer = ''] = pair.split('=');
    return { test, answers: answer.split('|') };
  });
const leading = (machine: Machine, ...pairs: readonly string[]) =>
  beliefs(KNOWLEDGE, machine, NONE, saw(...pairs))[0]?.cause?.id;
const cause = (id: string): Cause => {
  const found = KNOWLEDGE.causes.find((one) => one.id === id);
  if (!found) throw new Error(`No cause ${id}.`);
  return found;
};

describe('what is known of trouble', () => {
  it('holds together, and is enough to go by', () => {
    expect(problemsOfKnowledge(KNOWLEDGE)).toEqual([]);
    expect(KNOWLEDGE.causes.length).toBeGreaterThanOrEqual(60);
    expect(KNOWLEDGE.tests.length).toBeGreaterThanOrEqual(40);
  });

  it('has every answer of every test come to one with every cause', () => {
    for (const one of [...KNOWLEDGE.causes, undefined])
      for (const test of KNOWLEDGE.tests)
        expect(test.answers.reduce((sum, { id }) => sum + likelihood(one, test, [id]), 0)).toBeCloseTo(1, 6);
  });

  it.each([
    [{ weight: 0 }, /weight/],
    [{ lookMin: 0 }, /look at it/],
    [{ signs: {} }, /Nothing would show/],
    [{ signs: { smell: { burnt: 1 } } }, /no test called “smell”/],
    [{ signs: { spark: { purple: 1 } } }, /“spark” has no answer called “purple”/],
    [{ signs: { spark: { all: 1.4 } } }, /between 0 and 1/],
  ])('names what does not hold together in a cause: %j', (change, words) => {
    const causes = [{ ...cause('no-spark'), ...change } as Cause];
    expect(
      problemsOfKnowledge({ tests: KNOWLEDGE.tests, causes })
        .map((one) => one.words)
        .join(),
    ).toMatch(words);
  });

  it('names a test that does not add up, and names that stand twice', () => {
    const twice = { tests: [COMPLAINT, COMPLAINT], causes: [] };
    expect(problemsOfKnowledge(twice).map(({ words }) => words)).toContain('There are two tests of this name.');
    const odd = { ...COMPLAINT, answers: [{ id: 'a', words: 'A', usual: 0.4 }] };
    expect(
      problemsOfKnowledge({ tests: [odd], causes: [] })
        .map(({ words }) => words)
        .join(),
    ).toMatch(/two answers.*come to 1/);
  });
});

describe('what is believed', () => {
  it.each([
    [minibus, ['crank=click', 'rest-volts=low', 'lamps=out'], 'battery-flat'],
    [minibus, ['crank=slow', 'rest-volts=ok', 'lamps=stay', 'drop-ground=high'], 'engine-ground'],
    [minibus, ['crank=nothing', 'rest-volts=ok', 'starter-signal=none', 'drive=wrong'], 'neutral-switch'],
    [minibus, ['crank=normal', 'fires=never', 'bubbles=bubbles', 'rail-pressure=low'], 'air-in-fuel'],
    [pickup, ['crank=normal', 'fires=never', 'pump-hum=silent', 'spark=all'], 'pump-relay'],
    [pickup, ['fires=rough', 'cylinder-drop=one', 'spark=one', 'swap-coil=follows', 'plugs=one'], 'plug-dirty'],
    [pickup, ['fires=rough', 'cylinder-drop=one', 'compression=one'], 'valve-or-ring'],
    [pickup, ['fires=well', 'charging=low'], 'alternator-plug'],
    [pickup, ['fires=well', 'pedal=soft', 'gears=grind'], 'clutch-air'],
    [pickup, ['fires=well', 'temperature=hot', 'heater=cold', 'coolant-bubbles=stop'], 'air-lock'],
    [pickup, ['fires=well', 'temperature=hot', 'fan=stands', 'heater=hot'], 'fan-plug'],
    [minibus, ['fires=well', 'drive=none', 'noise=scrape', 'atf=right'], 'converter-not-home'],
  ] as const)('on %j by %j is %s', (machine, seen, id) => expect(leading(machine, ...seen)).toBe(id));

  it('adds up to one, whatever was seen', () => {
    const evidence = fc.array(
      fc
        .constantFrom(...KNOWLEDGE.tests)
        .chain((test) =>
          fc.constantFrom(...test.answers).map(({ id }): Evidence => ({ test: test.id, answers: [id] })),
        ),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(evidence, (seen) => {
        const found = beliefs(KNOWLEDGE, pickup, NONE, seen);
        expect(found.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
        expect(found.every(({ cause: one }) => !one || isFor(one.for, pickup))).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('goes by what this job touched, and says so', () => {
    const seen = saw('crank=nothing', 'rest-volts=ok');
    const raise = new Map([['signal-plug', { factor: 20, because: ['The starter signal plug is still open.'] }]]);
    const [before, after] = [NONE, raise].map((one) =>
      beliefs(KNOWLEDGE, pickup, one, seen).find(({ cause: of }) => of?.id === 'signal-plug'),
    );
    expect(after?.chance ?? 0).toBeGreaterThan(before?.chance ?? 1);
    expect(after?.because).toContain('The starter signal plug is still open.');
    expect(after?.because.join()).toMatch(/How does it turn on the key\? Not at all/);
  });

  it('comes to “none of these” where nothing on the list would show so', () => {
    const odd = saw(
      'crank=normal',
      'fires=well',
      'spark=none',
      'compression=all',
      'tank=bad',
      'temperature=cold',
      'charging=high',
      'pedal=hard',
    );
    expect(beliefs(KNOWLEDGE, pickup, NONE, odd).findIndex(({ cause: one }) => !one)).toBeLessThan(3);
  });

  it('takes the last answer of a test that was done twice', () =>
    expect(leading(pickup, 'fires=well', 'charging=high', 'charging=low')).toBe('alternator-plug'));

  it('is settled by a look at the thing itself', () => {
    const seen = saw('fires=rough', 'cylinder-drop=one', 'look:coil-plug=yes');
    expect(beliefs(KNOWLEDGE, pickup, NONE, seen)[0]).toMatchObject({ cause: { id: 'coil-plug' } });
    const no = saw('fires=rough', 'cylinder-drop=one', 'look:coil-plug=no');
    expect(beliefs(KNOWLEDGE, pickup, NONE, no)[0]?.cause?.id).not.toBe('coil-plug');
  });
});

describe('the next test', () => {
  const next = (machine: Machine, mayCrank: boolean, ...pairs: readonly string[]) => {
    const seen = saw(...pairs);
    return nextTests(KNOWLEDGE, machine, beliefs(KNOWLEDGE, machine, NONE, seen), seen, mayCrank);
  };

  it('tells something, costs minutes, and is none that was done or is for another machine', () => {
    const offered = next(minibus, true, 'crank=normal', 'fires=never');
    expect(offered.map(({ test }) => test.id)).not.toContain('fires');
    expect(offered.every(({ test }) => isFor(test.for, minibus))).toBe(true);
    expect(offered.every(({ bits }) => bits > -1e-9)).toBe(true);
    expect([...offered].sort((one, other) => other.bitsAMinute - one.bitsAMinute)).toEqual(offered);
    for (const { answers } of offered) expect(answers.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 6);
  });

  it('asks of nothing that runs what only a running engine shows', () => {
    expect(canBe(saw('crank=nothing'))).toBe('standing');
    expect(canBe(saw('crank=normal', 'fires=dies'))).toBe('cranking');
    expect(canBe(saw('fires=rough'))).toBe('driving');
    const states = new Set(next(pickup, true, 'crank=nothing|click').map(({ test }) => test.state));
    expect([...states]).toEqual(['standing']);
  });

  it('is about what is complained of, not the cheapest there is', () => {
    const hot = next(pickup, true, 'complaint=temperature', 'fires=well').slice(0, 4);
    expect(hot.map(({ test }) => test.id).join()).not.toMatch(/pedal|oil-lamp|gears|noise/);
    expect(hot[0]?.test.id).toMatch(/air-lock|temperature|heater|coolant-bubbles|fan/);
  });

  it('shows what to watch wherever hands go in, and fuel above all', () => {
    for (const { test } of next(pickup, true, 'crank=normal', 'fires=never', 'pump-hum=hums', 'fuel-pressure=low'))
      if (test.looksAt !== undefined || test.state !== 'standing')
        expect(`${test.id} ${test.caution}`).not.toMatch(/undefined/);
    const looks = next(pickup, true, 'crank=normal', 'fires=never', 'pump-hum=hums', 'fuel-pressure=low').filter(
      ({ test }) => test.looksAt !== undefined,
    );
    expect(looks.find(({ test }) => test.looksAt === 'feed-shut')?.test.caution).toMatch(/No flame/);
  });

  it('turns no key before the hold point is signed', () => {
    const offered = next(pickup, false);
    expect(offered.length).toBeGreaterThan(0);
    expect(offered.some(({ test }) => test.cranks)).toBe(false);
    for (const { test } of offered) expect(`${test.asked} ${test.how}`).not.toMatch(/one burst|at the key/i);
  });

  it.each([
    ['timing-off', pickup, ['fires=rough', 'crank=normal', 'vacuum=low', 'codes=speed']],
    ['converter-not-home', minibus, ['fires=well', 'crank=normal', 'drive=none', 'noise=scrape', 'noise-place=bell']],
    ['flywheel-loose', pickup, ['fires=well', 'noise=knock', 'noise-place=bell', 'noise-speed=idle', 'vibration=revs']],
  ] as const)('says stop and turns nothing while %s is the likeliest', (id, machine, pairs) => {
    const evidence = saw(...pairs);
    const believed = beliefs(KNOWLEDGE, machine, NONE, evidence);
    expect(believed[0]?.cause?.id).toBe(id);
    expect(stopWords(believed)).toBe(cause(id).stop);
    const offered = nextTests(KNOWLEDGE, machine, believed, evidence);
    expect(offered.length).toBeGreaterThan(0);
    expect(offered.filter(({ test }) => test.cranks)).toEqual([]);
    // What is looked at by hand, with the key out, is what is left to find out by.
    expect(offered.map(({ test }) => test.id)).toContain('marks');
    expect(offered.map(({ test }) => test.id)).toContain('by-hand');
  });

  it('reads pressure and looks for bubbles on a rail before valve, sensor or pipe is taken off', () => {
    const asked = (evidence: readonly Evidence[]) =>
      nextTests(KNOWLEDGE, minibus, beliefs(KNOWLEDGE, minibus, NONE, evidence), evidence).map(
        ({ test }) => test.looksAt ?? test.id,
      );
    const begun = saw('complaint=no-start', 'crank=normal', 'fires=never', 'codes=fuel');
    const taken = ['metering-valve', 'rail-sensor', 'high-pressure-leak'];
    expect(asked(begun).filter((one) => taken.includes(one))).toEqual([]);
    expect(asked([...begun, ...saw('rail-pressure=low')]).filter((one) => taken.includes(one))).toEqual([]);
    expect(asked([...begun, ...saw('rail-pressure=low', 'bubbles=clear')])).toEqual(expect.arrayContaining(taken));
  });

  it('comes to a disc the wrong way round in four tests that each tell something', () => {
    const begun = saw('complaint=drive', 'crank=normal', 'fires=well', 'gears=grind');
    const seen = ['pedal=usual', 'noise-place=bell', 'noise-pedal=no', 'turns-free=drags'];
    let before = 0;
    for (let done = 1; done <= seen.length; done += 1) {
      const [first] = beliefs(KNOWLEDGE, pickup, NONE, [...begun, ...saw(...seen.slice(0, done))]);
      expect(first?.cause?.id).toBe('disc-reversed');
      expect(first?.chance).toBeGreaterThan(before);
      before = first?.chance ?? 0;
    }
    expect(before).toBeGreaterThan(0.85);
    expect(leading(pickup, 'complaint=drive', 'fires=well', 'gears=grind', 'fork-travel=short')).not.toBe(
      'disc-reversed',
    );
  });

  it('finds what is wrong sooner than going down the list', () => {
    // Every answer is the likeliest one with the cause: the least a method has to manage.
    const fitting = KNOWLEDGE.causes.filter((one) => isFor(one.for, pickup));
    const answered = (of: Cause, test: Parameters<typeof likelihood>[1]) =>
      test.answers.reduce((best, one) =>
        likelihood(of, test, [one.id]) > likelihood(of, test, [best.id]) ? one : best,
      ).id;
    const steps = (of: Cause, pick: (offered: ReturnType<typeof nextTests>) => (typeof offered)[number]) => {
      const seen: Evidence[] = [COMPLAINT].map((test) => ({ test: test.id, answers: [answered(of, test)] }));
      for (let step = 1; step <= 8; step += 1) {
        const believed = beliefs(KNOWLEDGE, pickup, NONE, seen);
        if (believed[0]?.cause === of) return step;
        const { test } = pick(nextTests(KNOWLEDGE, pickup, believed, seen));
        seen.push({ test: test.id, answers: [answered(of, test)] });
      }
      return 9;
    };
    const sample = fitting.filter((_, at) => at % 4 === 0);
    const mean = (pick: Parameters<typeof steps>[1]) =>
      sample.reduce((sum, of) => sum + steps(of, pick), 0) / sample.length;
    const ours = mean(([first]) => first as ReturnType<typeof nextTests>[number]);
    const list = mean(
      (offered) =>
        [...offered].sort(
          (one, other) => KNOWLEDGE.tests.indexOf(one.test) - KNOWLEDGE.tests.indexOf(other.test),
        )[0] as ReturnType<typeof nextTests>[number],
    );
    expect(ours).toBeLessThan(list);
    expect(ours).toBeLessThan(5);
  });
});
