import fc from 'fast-check';
import { edge, plainCrew, plainStep, randomNet } from '../testing/random-net.js';
import { wrongWith } from '../testing/check-schedule.js';
import { ScheduleBuilder, scheduleOf, Search, taskNet, type Schedule, type SchedulingProblem } from './index.js';

const minutes = (likely: number) => ({ low: likely, likely, high: likely });
function ordered(problem: SchedulingProblem): Schedule {
  const net = taskNet(problem);
  return scheduleOf(net, new ScheduleBuilder(net).build(net.topological));
}
const at = (plan: Schedule, id: string) => {
  const step = plan.steps.find(({ operation }) => operation.id === id);
  if (!step) throw new Error(`${id} is not planned.`);
  return step;
};

describe('what must not be done in the same minutes', () => {
  const weight = plainStep('weight', { station: 'front', minutes: minutes(10), moves: ['weight'], at: ['weight'] });
  const under = plainStep('under', { station: 'underside', minutes: minutes(6), at: ['weight'] });
  const beside = plainStep('beside', { station: 'cabin', minutes: minutes(6) });

  it('is done one after the other, and other work goes on beside it', () => {
    const plan = ordered({ operations: [weight, under, beside], precedence: [], crew: plainCrew(3), height: 'ground' });
    expect(at(plan, 'under').startMin).toBeGreaterThanOrEqual(at(plan, 'weight').endMin);
    expect(at(plan, 'beside').startMin).toBe(0);
  });

  it('leaves two who are underneath in peace while nothing moves', () => {
    const plan = ordered({
      operations: [under, plainStep('under-too', { station: 'rear', minutes: minutes(6), at: ['weight'] })],
      precedence: [],
      crew: plainCrew(2),
      height: 'ground',
    });
    expect(plan.costs.finishMin).toBe(6);
  });
});

describe('a run', () => {
  const bolts = plainStep('bolts', { minutes: minutes(4) });
  const lower = plainStep('lower', { minutes: minutes(3), hands: 2 });
  const short = plainStep('short', { station: 'front', minutes: minutes(1) });
  const runs = [{ first: 'bolts', then: 'lower' }];

  it('is begun with everybody it takes, and nobody leaves in between', () => {
    const plan = ordered({
      operations: [short, bolts, lower],
      precedence: [edge('bolts', 'lower')],
      crew: plainCrew(2),
      height: 'ground',
      runs,
    });
    expect(at(plan, 'lower').startMin).toBe(at(plan, 'bolts').endMin);
    expect(at(plan, 'bolts').people).toHaveLength(2);
    expect([...at(plan, 'lower').people].sort()).toEqual([...at(plan, 'bolts').people].sort());
  });

  it('is begun only once all of it can be done', () => {
    const plan = ordered({
      operations: [bolts, lower, plainStep('room', { station: 'front', minutes: minutes(9) })],
      precedence: [edge('bolts', 'lower'), edge('room', 'lower')],
      crew: plainCrew(3),
      height: 'ground',
      runs,
    });
    expect(at(plan, 'bolts').startMin).toBe(9);
    expect(at(plan, 'lower').startMin).toBe(13);
  });

  it('stays one, whatever a search does to the order around it', () => {
    let joined = 0;
    fc.assert(
      fc.property(randomNet({ most: 12 }), fc.integer(), (problem, seed) => {
        const net = taskNet(problem);
        const search = new Search(net, seed);
        search.run(60);
        const plan = scheduleOf(net, search.best());
        expect(wrongWith(problem, plan)).toEqual([]);
        joined += problem.runs?.length ?? 0;
      }),
      { numRuns: 150 },
    );
    expect(joined).toBeGreaterThan(3);
  });
});
