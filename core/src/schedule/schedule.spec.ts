import fc from 'fast-check';
import { CyclicMapError } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { precedenceGraph, type Operation, type Precedence } from '../teardown/index.js';
import { randomPlan } from '../testing/random-map.js';
import { workOf, type Work } from '../work/index.js';
import { groupedOrder, setupsOf, totalMinutes } from './index.js';

const operation = (id: string, changes: Partial<Operation> = {}): Operation => ({
  id,
  phase: 'strip',
  kind: 'disconnect',
  title: id,
  station: 'bay-top',
  height: 'either',
  hands: 1,
  tools: [],
  minutes: { low: 1, likely: 2, high: 3 },
  cautions: [],
  ...changes,
});
const edge = (first: string, then: string): Precedence => ({
  before: first,
  after: then,
  reason: { kind: 'access', words: 'So.' },
});
const order = (operations: readonly Operation[], edges: readonly Precedence[] = [], later?: ReadonlySet<string>) =>
  groupedOrder({
    operations,
    graph: precedenceGraph(edges),
    height: 'ground',
    ...(later ? { later } : {}),
  }).map(({ id }) => id);

describe('the grouped order', () => {
  it('stays at a station while there is work there', () => {
    expect(
      order([
        operation('a'),
        operation('b', { station: 'front' }),
        operation('c'),
        operation('d', { station: 'front' }),
      ]),
    ).toEqual(['a', 'c', 'b', 'd']);
  });

  it('moves the machine only when nothing is left at this height', () => {
    expect(
      order([
        operation('under', { height: 'raised', station: 'underside', minutes: { low: 50, likely: 60, high: 90 } }),
        operation('top', { height: 'ground' }),
        operation('cabin', { height: 'either', station: 'cabin' }),
      ]).at(-1),
    ).toBe('under');
  });

  it('follows an edge even when it means walking back', () => {
    expect(order([operation('a'), operation('b', { station: 'front' }), operation('c')], [edge('b', 'a')])).toEqual(
      expect.arrayContaining(['a', 'b', 'c']),
    );
    expect(order([operation('a'), operation('b', { station: 'front' })], [edge('b', 'a')])).toEqual(['b', 'a']);
  });

  it('puts off what is stuck until nothing else can be done', () => {
    expect(order([operation('stuck'), operation('a'), operation('b')], [], new Set(['stuck']))).toEqual([
      'a',
      'b',
      'stuck',
    ]);
  });
});

describe('setups', () => {
  it('carry the tools of all their steps once, and the most hands', () => {
    const [setup] = setupsOf(
      [operation('a', { tools: ['10 mm', 'pick'] }), operation('b', { tools: ['10 mm'], hands: 2 })],
      'ground',
    );
    expect(setup).toMatchObject({ tools: ['10 mm', 'pick'], hands: 2, moveMachine: false, height: 'ground' });
    expect(setup?.minutes).toEqual({ low: 2, likely: 4, high: 6 });
  });

  it('begin with the machine being moved where the height changes', () => {
    const setups = setupsOf([operation('a'), operation('b', { height: 'raised' }), operation('c')], 'ground');
    expect(setups.map(({ height, moveMachine }) => [height, moveMachine])).toEqual([
      ['ground', false],
      ['raised', true],
    ]);
  });

  it('needs few moves of the machine to strip the longitudinal automatic', () => {
    const work = workOf({ map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' });
    const strip = [...work.operations.values()].filter(({ phase }) => phase === 'strip');
    const setups = setupsOf(groupedOrder({ operations: strip, graph: work, height: 'ground' }), 'ground');
    expect(setups.filter(({ moveMachine }) => moveMachine).length).toBe(1);
    expect(totalMinutes(setups.flatMap(({ operations }) => operations)).likely).toBe(totalMinutes(strip).likely);
  });
});

describe('on machines nobody has built', () => {
  it('every operation is ordered once, after all it waits for', () => {
    fc.assert(
      fc.property(randomPlan, (plan) => {
        let work: Work;
        try {
          work = workOf(plan);
        } catch (error) {
          return error instanceof CyclicMapError;
        }
        const operations = [...work.operations.values()];
        const place = new Map(
          groupedOrder({ operations, graph: work, height: 'ground' }).map(({ id }, index) => [id, index]),
        );
        return (
          place.size === operations.length &&
          work.precedence.every(({ before, after }) => (place.get(before) ?? Infinity) < (place.get(after) ?? -1))
        );
      }),
      { numRuns: 150 },
    );
  });
});
