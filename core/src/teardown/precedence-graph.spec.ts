import { ancestorsOf, descendantsOf, findLoop, precedenceGraph, type Precedence } from './index.js';

const graph = (...pairs: readonly string[]) =>
  precedenceGraph(
    pairs.map((pair): Precedence => {
      const [before = '', after = ''] = pair.split('>');
      return { before, after, reason: { kind: 'sequence', words: 'So.' } };
    }),
  );

describe('what waits for what', () => {
  it('is followed to any depth, and once where it meets again', () => {
    const diamond = graph('a>b', 'a>c', 'b>d', 'c>d', 'd>e');
    expect([...descendantsOf('a', diamond)].sort()).toEqual(['b', 'c', 'd', 'e']);
    expect([...ancestorsOf('e', diamond)].sort()).toEqual(['a', 'b', 'c', 'd']);
    expect([...ancestorsOf('a', diamond)]).toEqual([]);
  });

  it('has no ring where two ways meet, in whatever order it is looked through', () => {
    const diamond = graph('a>b', 'a>c', 'b>d', 'c>d', 'a>d');
    for (const ids of ['abcd', 'dcba', 'bdac']) expect(findLoop([...ids], diamond)).toBeUndefined();
  });

  it('tells a ring without what leads into it', () => {
    expect(findLoop(['in'], graph('in>a', 'a>b', 'b>c', 'c>a', 'c>out'))).toEqual(['a', 'b', 'c']);
    expect(findLoop(['in'], graph('in>x', 'in>y', 'y>z', 'z>y'))).toEqual(['y', 'z']);
  });

  it('finds the ring of one that waits for itself, and one that nothing leads to', () => {
    expect(findLoop(['a'], graph('a>a'))).toEqual(['a']);
    expect(findLoop(['a', 'c'], graph('a>b', 'c>d', 'd>c'))).toEqual(['c', 'd']);
  });
});
