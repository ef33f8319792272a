import fc from 'fast-check';
import { edge, plainCrew, plainStep, randomNet } from '../testing/random-net.js';
import {
  chainOf,
  ScheduleBuilder,
  scheduleOf,
  Search,
  slackOf,
  taskNet,
  type Schedule,
  type SchedulingProblem,
} from './index.js';

const minutes = (likely: number) => ({ low: likely, likely, high: likely });
const listed = (problem: SchedulingProblem) => {
  const net = taskNet(problem);
  return { net, plan: scheduleOf(net, new ScheduleBuilder(net).build(net.topological)) };
};
const found = (problem: SchedulingProblem) => {
  const net = taskNet(problem);
  const search = new Search(net, 1);
  search.run(150);
  return { net, plan: scheduleOf(net, search.best()) };
};

/**
 * When everything would be over if `late` began `byMin` later and everybody kept to their order, people and the stops
 * of the plan: each step begins when all it followed is through, minute by minute from the first to the last.
 */
function finishWith({ problem }: { problem: SchedulingProblem }, { steps }: Schedule, late: string, byMin: number) {
  const ends = new Map<string, number>();
  const stops = (kind: string) => kind === 'hold-point' || kind === 'lift' || kind === 'lower';
  let finish = 0;
  steps.forEach((step, index) => {
    let start = step.operation.id === late ? step.startMin + byMin : 0;
    steps.slice(0, index).forEach((earlier) => {
      if (earlier.endMin > step.startMin + 1e-9) return;
      const end = ends.get(earlier.operation.id) ?? 0;
      const waits =
        problem.precedence.some(
          ({ before, after }) => before === earlier.operation.id && after === step.operation.id,
        ) ||
        earlier.people.some((name) => step.people.includes(name)) ||
        (earlier.operation.station === step.operation.station &&
          (problem.crew.cramped.includes(step.operation.station) || earlier.people.length + step.people.length > 2)) ||
        stops(step.operation.kind) ||
        stops(earlier.operation.kind);
      if (earlier.height !== step.height) start = Math.max(start, end + problem.crew.moveMachineMin);
      else if (waits) start = Math.max(start, end);
    });
    if (step.height !== problem.height && !steps.slice(0, index).some(({ height }) => height !== step.height))
      start = Math.max(start, problem.crew.moveMachineMin);
    ends.set(step.operation.id, start + step.endMin - step.startMin);
    finish = Math.max(finish, start + step.endMin - step.startMin);
  });
  return finish;
}

describe('the chain of reasons', () => {
  const problem: SchedulingProblem = {
    operations: [
      plainStep('shield', { minutes: minutes(4) }),
      plainStep('flange', { minutes: minutes(3), height: 'raised', station: 'underside' }),
      plainStep('hose', { minutes: minutes(1) }),
    ],
    precedence: [edge('shield', 'flange', 'The shield covers the nuts.')],
    crew: plainCrew(1),
    height: 'ground',
  };

  it('goes back link by link to where the work begins, in the crew’s words', () => {
    const { net, plan } = listed(problem);
    expect(chainOf(net, plan, 'flange').map(({ step, words }) => [step.operation.id, step.cause.is, words])).toEqual([
      ['flange', 'machine', undefined],
      ['hose', 'hands', undefined],
      ['shield', 'nothing', undefined],
    ]);
    const straight = listed({ ...problem, height: 'raised', crew: plainCrew(2) });
    expect(chainOf(straight.net, straight.plan, 'flange').map(({ step, words }) => [step.operation.id, words])).toEqual(
      [
        ['flange', 'The shield covers the nuts.'],
        ['shield', undefined],
      ],
    );
  });

  it('is empty for a step the plan does not have', () => {
    const { net, plan } = listed(problem);
    expect(chainOf(net, plan, 'ghost')).toEqual([]);
  });

  it('has a step begin when the one it names is through, whatever the plan', () => {
    fc.assert(
      fc.property(randomNet({ most: 14 }), (problem) => {
        const { net, plan } = found(problem);
        for (const step of plan.steps) {
          const chain = chainOf(net, plan, step.operation.id);
          expect(chain[0]?.step).toBe(step);
          for (const [index, link] of chain.entries()) {
            const blamed = chain[index + 1]?.step;
            if (!blamed) continue;
            const moved = link.step.cause.is === 'machine' ? problem.crew.moveMachineMin : 0;
            expect(link.step.startMin).toBeCloseTo(blamed.endMin + moved, 6);
          }
        }
      }),
      { numRuns: 80 },
    );
  });
});

describe('slack', () => {
  it('is nought along what binds the finish, and what is left of the day elsewhere', () => {
    const { net, plan } = listed({
      operations: [
        plainStep('long', { minutes: minutes(9) }),
        plainStep('short', { minutes: minutes(2), station: 'front' }),
        plainStep('after', { minutes: minutes(3), station: 'front' }),
      ],
      precedence: [edge('short', 'after')],
      crew: plainCrew(2),
      height: 'ground',
    });
    expect(Object.fromEntries(slackOf(net, plan))).toEqual({ long: 0, short: 4, after: 4 });
  });

  it('ends where everybody has to have stopped: at a hold point, and before the machine moves', () => {
    const operations = [
      plainStep('a', { minutes: minutes(6) }),
      plainStep('b', { minutes: minutes(2), station: 'front' }),
      plainStep('sign', { kind: 'hold-point', minutes: minutes(1) }),
      plainStep('under', { minutes: minutes(5), height: 'raised', station: 'underside' }),
    ];
    const precedence = [edge('a', 'sign'), edge('b', 'sign'), edge('sign', 'under')];
    const { net, plan } = listed({ operations, precedence, crew: plainCrew(2), height: 'ground' });
    expect(Object.fromEntries(slackOf(net, plan))).toEqual({ a: 0, b: 4, sign: 0, under: 0 });
  });

  it('knows that a job in two pairs of hands takes the whole place, where one of its steps is for one', () => {
    const operations = [
      plainStep('both', { minutes: minutes(1), hands: 2 }),
      plainStep('then', { minutes: minutes(1), station: 'underside' }),
      plainStep('beside', { minutes: minutes(1), station: 'underside' }),
    ];
    const { net, plan } = found({
      operations,
      precedence: [edge('both', 'then')],
      runs: [{ first: 'both', then: 'then' }],
      crew: plainCrew(3),
      height: 'ground',
    });
    expect(plan.costs.finishMin).toBe(2);
    expect(Object.fromEntries(slackOf(net, plan))).toEqual({ both: 0, then: 0, beside: 0 });
  });

  it('lets each step slip by that much and the finish stand, and something always binds it', () => {
    fc.assert(
      fc.property(randomNet({ most: 14 }), (problem) => {
        const { net, plan } = found(problem);
        const slack = slackOf(net, plan);
        expect(Math.min(...slack.values())).toBeCloseTo(0, 6);
        for (const { operation } of plan.steps) {
          const may = slack.get(operation.id) ?? 0;
          expect(finishWith({ problem }, plan, operation.id, may)).toBeLessThanOrEqual(plan.costs.finishMin + 1e-6);
        }
      }),
      { numRuns: 80 },
    );
  });
});
