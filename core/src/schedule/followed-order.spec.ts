import { edge, plainStep } from '../testing/random-net.js';
import { precedenceGraph, type Operation, type Precedence } from '../teardown/index.js';
import { followedOrder } from './index.js';

const follow = (
  plan: readonly string[],
  operations: readonly Operation[],
  edges: readonly Precedence[] = [],
  later?: readonly string[],
) =>
  followedOrder(plan)({
    operations,
    graph: precedenceGraph(edges),
    height: 'ground',
    ...(later ? { later: new Set(later) } : {}),
  }).map(({ id }) => id);
const front = { station: 'front' } as const;

describe('an order that keeps to a plan', () => {
  const steps = [plainStep('a'), plainStep('b', front), plainStep('c'), plainStep('d', front)];

  it('is the plan’s where nothing speaks against it', () => {
    expect(follow(['d', 'a', 'c', 'b'], steps)).toEqual(['d', 'a', 'c', 'b']);
    expect(follow(['a', 'gone', 'b', 'c', 'd'], steps)).toEqual(['a', 'b', 'c', 'd']);
  });

  it('leaves it where something has to come first', () => {
    expect(follow(['d', 'a', 'c', 'b'], steps, [edge('c', 'd')])).toEqual(['a', 'c', 'd', 'b']);
    // What is not among the steps, as it is done, keeps nobody.
    expect(follow(['d', 'a', 'c', 'b'], steps, [edge('done', 'd')])).toEqual(['d', 'a', 'c', 'b']);
  });

  it('takes what was put off last of all, but before what waits for it', () => {
    const plan = ['a', 'b', 'c', 'd'];
    expect(follow(plan, steps, [], ['a', 'b'])).toEqual(['c', 'd', 'a', 'b']);
    expect(follow(plan, steps, [edge('a', 'd')], ['a'])).toEqual(['b', 'c', 'a', 'd']);
    expect(follow(plan, steps, [], plan)).toEqual(plan);
  });

  it('puts what the plan does not know behind the work of its own place, and before what waits for it', () => {
    const found = plainStep('found', front);
    expect(follow(['a', 'b', 'c', 'd'], [found, ...steps])).toEqual(['a', 'b', 'c', 'd', 'found']);
    expect(follow(['b', 'd', 'a', 'c'], [found, ...steps])).toEqual(['b', 'd', 'found', 'a', 'c']);
    expect(follow(['b', 'd', 'a', 'c'], [found, ...steps], [edge('found', 'd')])).toEqual([
      'b',
      'found',
      'd',
      'a',
      'c',
    ]);
    // A place nobody goes to: at the end.
    const cabin = plainStep('cabin', { station: 'cabin' });
    expect(follow(['b', 'd', 'a', 'c'], [cabin, ...steps])).toEqual(['b', 'd', 'a', 'c', 'cabin']);
    // With the machine up, work on the ground is no neighbour.
    const low = steps.map((step) => ({ ...step, height: step.id === 'd' ? ('raised' as const) : step.height }));
    const up = plainStep('found', { ...front, height: 'ground' });
    expect(follow(['b', 'a', 'd', 'c'], [up, ...low])).toEqual(['b', 'found', 'a', 'd', 'c']);
  });
});
