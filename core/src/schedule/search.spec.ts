import fc from 'fast-check';
import { usualMap } from '../layouts/index.js';
import { foldLedger } from '../ledger/index.js';
import { planned, usualSettings } from '../planning/index.js';
import { wrongWith } from '../testing/check-schedule.js';
import { exhaustiveOptimum } from '../testing/exhaustive.js';
import { edge, plainCrew, plainStep, randomNet } from '../testing/random-net.js';
import {
  boundOf,
  crewOf,
  respects,
  ScheduleBuilder,
  scheduleOf,
  Search,
  taskNet,
  workOrderOf,
  type Schedule,
  type SchedulingProblem,
} from './index.js';

const best = (problem: SchedulingProblem, tries = 2_000, seed = 1): Schedule => {
  const net = taskNet(problem);
  const search = new Search(net, seed);
  search.run(tries);
  return scheduleOf(net, search.best());
};
const asListed = (problem: SchedulingProblem): Schedule => {
  const net = taskNet(problem);
  return scheduleOf(net, new ScheduleBuilder(net).build(net.topological));
};
const minutes = (likely: number) => ({ low: likely, likely, high: likely });
const begins = ({ steps }: Schedule) =>
  Object.fromEntries(steps.map(({ operation, startMin }) => [operation.id, startMin]));

describe('a schedule', () => {
  const problem = (changes: Partial<SchedulingProblem>): SchedulingProblem => ({
    operations: [],
    precedence: [],
    crew: plainCrew(2),
    height: 'ground',
    ...changes,
  });

  it('lets two work side by side where there is room, and one after the other where there is not', () => {
    const two = (station: 'bay-top' | 'wheel-left') =>
      asListed(problem({ operations: [plainStep('a', { station }), plainStep('b', { station })] }));
    expect(begins(two('bay-top'))).toEqual({ a: 0, b: 0 });
    expect(begins(two('wheel-left'))).toEqual({ a: 0, b: 2 });
    expect(two('wheel-left').steps[1]?.cause).toEqual({ is: 'room', step: 'a' });
  });

  it('moves the machine only when everybody has stopped', () => {
    const plan = asListed(
      problem({
        operations: [
          plainStep('a', { minutes: minutes(5), height: 'ground' }),
          plainStep('b', { minutes: minutes(2) }),
          plainStep('under', { height: 'raised', station: 'underside' }),
        ],
        precedence: [edge('b', 'under')],
      }),
    );
    expect(begins(plan)).toEqual({ a: 0, b: 0, under: 8 });
    expect(plan.costs.heightChanges).toBe(1);
    expect(plan.steps.find(({ operation }) => operation.id === 'under')?.cause).toEqual({ is: 'machine', step: 'a' });
  });

  it('stops everybody for a hold point', () => {
    const plan = asListed(
      problem({
        operations: [
          plainStep('a', { minutes: minutes(7) }),
          plainStep('sign', { kind: 'hold-point', minutes: minutes(3) }),
          plainStep('b'),
        ],
      }),
    );
    expect(begins(plan)).toEqual({ a: 0, sign: 7, b: 10 });
    expect(plan.steps.map(({ cause }) => cause)).toEqual([
      { is: 'nothing' },
      { is: 'everybody', step: 'a' },
      { is: 'everybody', step: 'sign' },
    ]);
  });

  it('plans work for two while both are there', () => {
    const crew = { ...plainCrew(2), hands: [{ name: 'Ines' }, { name: 'Tobias', away: [{ fromMin: 10 }] }] };
    const operations = [
      plainStep('long', { minutes: minutes(9) }),
      plainStep('for-two', { hands: 2, minutes: minutes(4) }),
      plainStep('rest', { minutes: minutes(20) }),
    ];
    const listed = asListed(problem({ operations, crew }));
    expect(listed.costs.shortHanded).toBe(1);
    const planned = best(problem({ operations, crew }));
    expect(planned.costs.shortHanded).toBe(0);
    expect(planned.steps.find(({ operation }) => operation.id === 'for-two')?.endMin).toBeLessThanOrEqual(10);
  });

  it.each([
    ['first', 'front', 4, 2],
    ['second', 'cabin', 2, 4],
  ] as const)(
    'gives a step to the %s of the crew, who stands there already, and else to who has been free for the shortest time',
    (_who, station, atFront, inCabin) => {
      const plan = asListed(
        problem({
          operations: [
            plainStep('front', { station: 'front', minutes: minutes(atFront) }),
            plainStep('cabin', { station: 'cabin', minutes: minutes(inCabin) }),
            plainStep('there', { station, minutes: minutes(1) }),
            plainStep('elsewhere', { station: 'bay-top', minutes: minutes(1) }),
          ],
          precedence: [edge('front', 'there'), edge('cabin', 'there'), edge('there', 'elsewhere')],
        }),
      );
      const by = (id: string) => plan.steps.find(({ operation }) => operation.id === id)?.people;
      expect(by('front')).not.toEqual(by('cabin'));
      expect(by('there')).toEqual(by(station));
      // Both are free when it begins; the other has stood about since minute two.
      expect(by('elsewhere')).toEqual(by('there'));
    },
  );

  it('lets somebody work up to the minute they leave, and again from the minute they are back', () => {
    const away = [{ fromMin: 4, untilMin: 10 }];
    const one = (ofMinutes: number, leaves: readonly { fromMin: number; untilMin?: number }[] = away) => {
      const crew = { ...plainCrew(1), hands: [{ name: 'Ines', away: leaves }] };
      const operations = [plainStep('a', { minutes: minutes(ofMinutes) }), plainStep('b', { minutes: minutes(2) })];
      return begins(asListed(problem({ crew, operations })));
    };
    expect(one(4)).toEqual({ a: 0, b: 10 });
    expect(one(5)).toEqual({ a: 10, b: 15 });
    expect(one(2)).toEqual({ a: 0, b: 2 });
    expect(one(3, [{ fromMin: 0, untilMin: 6 }])).toEqual({ a: 6, b: 9 });
    expect(() => one(5, [{ fromMin: 4 }])).toThrow('Nobody of the crew');
  });

  it('names the steps that want two where one works alone', () => {
    const plan = asListed(problem({ crew: plainCrew(1), operations: [plainStep('shaft', { hands: 2 })] }));
    expect(plan.help).toMatchObject([{ steps: [{ id: 'shaft' }] }]);
  });

  it('leaves hands free while somebody from outside does licensed work, and waits until they come', () => {
    const plan = asListed(
      problem({
        crew: plainCrew(1),
        operations: [
          plainStep('recover', { station: 'front', minutes: minutes(40) }),
          plainStep('a', { minutes: minutes(30) }),
        ],
        outside: new Set(['recover']),
        notBefore: new Map([['recover', 15]]),
      }),
    );
    expect(begins(plan)).toEqual({ recover: 15, a: 0 });
    expect(plan.steps.find(({ operation }) => operation.id === 'recover')?.people).toEqual([]);
  });

  it('does not move the machine while lifting gear carries the weight', () => {
    const plan = asListed(
      problem({
        operations: [
          plainStep('hook', { height: 'ground' }),
          plainStep('mount', { height: 'raised', station: 'underside' }),
          plainStep('out', { kind: 'lift' }),
          plainStep('after', { height: 'raised', station: 'underside' }),
        ],
        precedence: [edge('hook', 'mount'), edge('mount', 'out'), edge('out', 'after')],
        load: new Map([
          ['hook', 'takes'],
          ['out', 'sets-down'],
        ]),
      }),
    );
    expect(plan.steps.map(({ height }) => height)).toEqual(['ground', 'ground', 'ground', 'raised']);
    expect(plan.costs.heightChanges).toBe(1);
  });

  it('is refused without anybody to do it, and where steps wait for each other', () => {
    expect(() => taskNet(problem({ crew: plainCrew(0) }))).toThrow('at least one person');
    const ring = { operations: [plainStep('a'), plainStep('b')], precedence: [edge('a', 'b'), edge('b', 'a')] };
    expect(() => taskNet(problem(ring))).toThrow('ring');
  });
});

describe('the search', () => {
  it('finds what trying everything finds, minute by minute', () => {
    fc.assert(
      fc.property(randomNet({ most: 6 }), (problem) => {
        const found = best(problem).costs;
        const least = exhaustiveOptimum(problem);
        expect(found.finishMin + found.heightChanges * problem.crew.weights.heightChangeMin).toBeCloseTo(least, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('moves the machine before work that goes either way, where that ends sooner', () => {
    const operations = [
      plainStep('hose', { minutes: minutes(2) }),
      plainStep('shield', { minutes: minutes(1) }),
      plainStep('flange', { minutes: minutes(1), height: 'raised', station: 'underside' }),
    ];
    const problem: SchedulingProblem = {
      operations,
      precedence: [edge('shield', 'flange')],
      crew: plainCrew(2),
      height: 'ground',
    };
    const plan = best(problem);
    expect(begins(plan)).toEqual({ hose: 3, shield: 3, flange: 4 });
    expect(plan.costs).toMatchObject({ finishMin: 5, heightChanges: 1 });
    const kept = workOrderOf(plan, 'ground');
    expect(kept.moveFirst).toEqual([kept.order[0]]);
    expect(asListed(problem).costs.finishMin).toBe(6);
    expect(workOrderOf(asListed(problem), 'ground')).toEqual({ order: ['hose', 'shield', 'flange'] });
  });

  it('never breaks an edge, a height, hands, room or a hold point, and never beats its bound', () => {
    fc.assert(
      fc.property(randomNet({ most: 25, weights: true }), fc.integer({ min: 1, max: 1_000 }), (problem, seed) => {
        const plan = best(problem, 300, seed);
        expect(wrongWith(problem, plan)).toEqual([]);
        const bound = boundOf(taskNet(problem));
        expect(plan.costs.finishMin).toBeGreaterThanOrEqual(bound.finishMin - 1e-6);
        expect(plan.costs.objective).toBeGreaterThanOrEqual(bound.objective - 1e-6);
        expect(plan.costs.heightChanges).toBeGreaterThanOrEqual(bound.heightChanges);
        expect(plan.costs.stationMoves).toBeGreaterThanOrEqual(bound.stationMoves);
      }),
      { numRuns: 150 },
    );
  });

  it('keeps stages in their order', () => {
    fc.assert(
      fc.property(randomNet({ most: 20 }), (problem) => {
        // Any stage that rises along the edges: here, how many steps have to come before.
        const depth = new Map<string, number>();
        for (const { id } of problem.operations)
          depth.set(
            id,
            Math.max(
              0,
              ...problem.precedence
                .filter(({ after }) => after === id)
                .map(({ before }) => (depth.get(before) ?? 0) + 1),
            ),
          );
        const net = taskNet({ ...problem, stages: depth });
        const search = new Search(net, 3);
        search.run(200);
        expect(respects(search.best().order)).toBe(true);
        const stages = search.best().order.map(({ stage }) => stage);
        expect(stages).toEqual([...stages].sort((one, other) => one - other));
      }),
      { numRuns: 60 },
    );
  });

  it('is the same for the same seed, however the work is sliced', () => {
    const { net } = planned(
      foldLedger({ map: usualMap('utility-belt'), powerpack: 'engine', route: 'top' }, []),
      'out',
      usualSettings(['Ines', 'Tobias']),
      undefined,
    );
    const whole = new Search(net, 7);
    whole.run(4_000);
    const sliced = new Search(net, 7);
    for (let slice = 0; slice < 40; slice += 1) sliced.run(100);
    expect(sliced.costs).toEqual(whole.costs);
    expect(sliced.best().order.map(({ operation }) => operation.id)).toEqual(
      whole.best().order.map(({ operation }) => operation.id),
    );
  });

  it('gets no worse by going on, and beats the grouped order on a whole machine', () => {
    const state = foldLedger(
      { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' },
      [],
    );
    const { net, schedule, problem } = planned(state, 'out', usualSettings(['Ines', 'Tobias']), undefined);
    const search = new Search(net, 1);
    const first = search.costs.objective;
    search.run(3_000);
    expect(search.costs.objective).toBeLessThanOrEqual(first);
    expect(search.costs.objective).toBeLessThan(schedule.costs.objective);
    expect(wrongWith(problem, scheduleOf(net, search.best()))).toEqual([]);
  });
});

describe('the lower bound', () => {
  it('is met where one works alone', () => {
    const operations = [
      plainStep('top', { minutes: minutes(10) }),
      plainStep('under', { minutes: minutes(5), height: 'raised', station: 'underside', tools: ['10 mm ratchet'] }),
    ];
    const problem = { operations, precedence: [], crew: crewOf(['Ines']), height: 'ground' } as const;
    expect(boundOf(taskNet(problem))).toEqual({
      finishMin: 23,
      heightChanges: 1,
      stationMoves: 1,
      toolFetches: 1,
      jumps: 0,
      objective: 23 + 5 + 1 + 0.25,
    });
    expect(best(problem).costs.objective).toBe(29.25);
  });

  it('counts work for two, cramped stations and chains', () => {
    const cramped = [1, 2, 3].map((index) =>
      plainStep(`wheel-${index}`, { station: 'wheel-left', minutes: minutes(4) }),
    );
    const finish = (operations: SchedulingProblem['operations'], precedence: SchedulingProblem['precedence'] = []) =>
      boundOf(taskNet({ operations, precedence, crew: plainCrew(3), height: 'ground' })).finishMin;
    expect(finish(cramped)).toBe(12);
    expect(finish([plainStep('a', { hands: 2 }), plainStep('b', { hands: 2 })])).toBe(4);
    expect(finish([plainStep('a'), plainStep('b'), plainStep('c')], [edge('a', 'b'), edge('b', 'c')])).toBe(6);
  });

  it('counts the hands between a head and a tail, heights apart, and fetches only tools that somebody uses', () => {
    const least = (problem: Partial<SchedulingProblem> & Pick<SchedulingProblem, 'operations'>) =>
      boundOf(taskNet({ precedence: [], crew: plainCrew(2), height: 'ground', ...problem }));
    // Four of three minutes between one that comes first and one that comes last: six for two, and both ends.
    const middle = ['a', 'b', 'c', 'd'].map((id) => plainStep(id, { minutes: minutes(3) }));
    const ends = middle.flatMap(({ id }) => [edge('head', id), edge(id, 'tail')]);
    const beside = plainStep('beside', { minutes: minutes(1), station: 'front' });
    const headAndTail = [plainStep('head', { minutes: minutes(4) }), plainStep('tail', { minutes: minutes(5) })];
    expect(least({ operations: [...headAndTail, ...middle, beside], precedence: ends }).finishMin).toBe(15);
    // Work on the ground and in the air never meet.
    const ground = plainStep('low', { minutes: minutes(6), height: 'ground' });
    const air = plainStep('high', { minutes: minutes(5), height: 'raised', station: 'underside' });
    expect(least({ operations: [ground, air] })).toMatchObject({ finishMin: 6 + 3 + 5, heightChanges: 1 });
    const own = plainStep('own', { tools: ['pliers'] });
    const theirs = plainStep('theirs', { tools: ['gas scale'], station: 'front' });
    expect(least({ operations: [own, theirs] }).toolFetches).toBe(2);
    expect(least({ operations: [own, theirs], outside: new Set(['theirs']) }).toolFetches).toBe(1);
  });

  it('counts whom a run keeps to its end, and what is never done beside what moves', () => {
    const least = (problem: Partial<SchedulingProblem> & Pick<SchedulingProblem, 'operations'>) =>
      boundOf(taskNet({ precedence: [], crew: plainCrew(2), height: 'ground', ...problem })).finishMin;
    const four = minutes(4);
    const run = [plainStep('both', { hands: 2, minutes: four }), plainStep('one', { minutes: four, station: 'front' })];
    const beside = plainStep('beside', { minutes: four, station: 'rear' });
    expect(least({ operations: [...run, beside] })).toBe(8);
    expect(least({ operations: [...run, beside], runs: [{ first: 'both', then: 'one' }] })).toBe(10);
    const turned = plainStep('turn', { minutes: four, moves: ['crank'] });
    const belt = plainStep('belt', { minutes: four, station: 'front', at: ['crank'] });
    expect(least({ operations: [turned, { ...belt, at: [] }] })).toBe(4);
    expect(least({ operations: [turned, belt] })).toBe(8);
  });
});
