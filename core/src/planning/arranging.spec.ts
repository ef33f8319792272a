import fc from 'fast-check';
import { edge } from '../testing/random-net.js';
import { movedAlong, movedTo, pinnedTo, unpinned } from './index.js';

const order = ['a', 'b', 'c', 'd', 'e'];

describe('an order arranged by hand', () => {
  it('has a step, or a run of steps, before another or at the end', () => {
    expect(movedTo(order, ['d'], 'b')).toEqual(['a', 'd', 'b', 'c', 'e']);
    expect(movedTo(order, ['a', 'b'], 'e')).toEqual(['c', 'd', 'a', 'b', 'e']);
    expect(movedTo(order, ['a'], undefined)).toEqual(['b', 'c', 'd', 'e', 'a']);
    expect(movedTo(order, ['b', 'c'], 'b')).toEqual(order);
  });

  it('takes along what a step waits for, and what waits for it', () => {
    const edges = [edge('b', 'd'), edge('c', 'd')];
    expect(movedAlong(order, ['d'], 'a', edges)).toEqual(['b', 'c', 'd', 'a', 'e']);
    expect(movedAlong(order, ['b'], undefined, edges)).toEqual(['a', 'c', 'e', 'b', 'd']);
  });

  it('never breaks an edge by taking along, and loses no step', () => {
    const some = fc.uniqueArray(fc.nat(11), { minLength: 1, maxLength: 3 });
    const pairs = fc.array(fc.tuple(fc.nat(11), fc.nat(11)), { maxLength: 16 });
    fc.assert(
      fc.property(some, fc.nat(12), pairs, (moving, to, drawn) => {
        const steps = Array.from({ length: 12 }, (_, index) => `s${index}`);
        const edges = drawn
          .filter(([one, other]) => one !== other)
          .map(([one, other]) => edge(`s${Math.min(one, other)}`, `s${Math.max(one, other)}`));
        const moved = movedAlong(
          steps,
          moving.map((index) => `s${index}`),
          steps[to],
          edges,
        );
        expect([...moved].sort()).toEqual([...steps].sort());
        if (moving.length > 1) return;
        for (const { before, after } of edges) expect(moved.indexOf(before)).toBeLessThan(moved.indexOf(after));
      }),
      { numRuns: 300 },
    );
  });

  it('keeps a pinned run between its neighbours, once', () => {
    const pins = pinnedTo([{ of: 'b', before: 'x', after: 'b' }], order, ['b', 'c']);
    expect(pins).toEqual([
      { of: 'b', before: 'a', after: 'b' },
      { of: 'c', before: 'c', after: 'd' },
    ]);
    expect(unpinned(pins, ['c'])).toHaveLength(1);
    expect(pinnedTo([], order, ['a'])).toEqual([{ of: 'a', before: 'a', after: 'b' }]);
    expect(pinnedTo([], order, ['ghost'])).toEqual([]);
  });
});
