import { record, refused, start, then } from '../testing/small-job.js';
import { withConnection } from '../testing/small-map.js';
import { entryWords, startOf, type EntryBody } from './index.js';

const taken = (photo: string, more: object = {}): EntryBody => ({
  kind: 'photo-taken',
  photo,
  widthPx: 4,
  heightPx: 3,
  pinnedTo: {},
  ...more,
});
const drawn = (photo: string): EntryBody => ({
  kind: 'photo-marked',
  photo,
  marks: [{ kind: 'text', from: { x: 0.1, y: 0.1 }, to: { x: 0.1, y: 0.1 }, words: 'Here' }],
});

describe('a picture', () => {
  it('is pinned to what there is: a step, a joint, or the card of a part or of what is ordered', () => {
    expect(refused(start, taken('a', { pinnedTo: { operation: 'open:ghost' } }))).toMatch(/no step called/);
    expect(refused(start, taken('a', { pinnedTo: { connection: 'ghost' } }))).toMatch(/no connection called/);
    expect(refused(start, taken('a', { pinnedTo: { card: 'host:wing' } }))).toMatch(/no part called/);
    for (const pinnedTo of [{}, { operation: 'open:hose' }, { connection: 'hose' }, { card: 'host:cover' }])
      expect(refused(start, taken('a', { pinnedTo }))).toBe('');
    const needed = then(start, { kind: 'part-needed', need: 'p1', name: 'Seal', quantity: 1, reason: 'Weeps' });
    expect(refused(start, taken('a', { pinnedTo: { card: 'p1' } }))).toMatch(/no part called “p1”/);
    expect(refused(needed, taken('a', { pinnedTo: { card: 'p1' } }))).toBe('');
  });

  it('keeps what is drawn on it when it is pinned elsewhere', () => {
    expect(refused(start, drawn('a'))).toMatch(/no photo called “a”/);
    const once = then(start, taken('a', { words: 'Before' }));
    expect(once.photos.get('a')).toMatchObject({ marks: [], words: 'Before', by: 'Ines' });
    const again = then(once, drawn('a'), taken('a', { pinnedTo: { connection: 'hose' } }));
    expect(again.photos.get('a')?.marks).toHaveLength(1);
    expect(again.photos.get('a')).toMatchObject({ pinnedTo: { connection: 'hose' } });
    expect(again.photos.get('a')).not.toHaveProperty('words');
  });

  it('is said by its words, by its step, or as a picture', () => {
    const said = (more: object) => entryWords(start, record(taken('a', more)));
    expect(said({ words: 'Before', pinnedTo: { operation: 'remove:cover' } })).toBe('Photo: Before');
    expect(said({ pinnedTo: { operation: 'remove:cover' } })).toBe('Photo: Lift the cover away');
    expect(said({})).toBe('Photo');
  });
});

describe('a bolt card', () => {
  const two = [
    { count: 2, what: 'M8×1.25 × 25, 13 mm' },
    { count: 1, what: 'M8×1.25 × 60, 13 mm' },
  ];
  const state = startOf(withConnection('radiator-bolts', { fasteners: two }));
  const card = (sets: readonly number[], connection = 'radiator-bolts'): EntryBody => ({
    kind: 'pattern-drawn',
    connection,
    pattern: {
      shape: 'line',
      widthMm: 40,
      heightMm: 0,
      holes: sets.map((set, at) => ({ xMm: at * 20, yMm: 0, set })),
    },
  });

  it('has holes for fasteners that the joint has, and the last one drawn stands', () => {
    expect(refused(state, card([0, 1]))).toBe('');
    expect(refused(state, card([0, 2]))).toMatch(/a fastener this joint does not have/);
    expect(refused(state, card([0], 'ghost'))).toMatch(/no connection called “ghost”/);
    const drawnTwice = then(state, card([0]), card([0, 0, 1]));
    expect(drawnTwice.patterns.get('radiator-bolts')?.holes).toHaveLength(3);
  });
});

describe('figures of the unit on the stand', () => {
  it('keep their limits and note where there are any', () => {
    const read = (more: object): EntryBody => ({ kind: 'unit-measured', reading: 'end-float', values: [0.2], ...more });
    const [full, bare] = then(start, read({ low: 0.1, high: 0.3, note: 'Cold' }), read({})).readings;
    expect(full).toMatchObject({ values: [0.2], low: 0.1, high: 0.3, note: 'Cold', by: 'Ines' });
    for (const absent of ['low', 'high', 'note']) expect(bare).not.toHaveProperty(absent);
    expect(refused(start, read({ low: 0.3, high: 0.1 }))).toMatch(/lower limit is above/);
    expect(refused(start, read({ low: 0.3 }))).toBe('');
    expect(refused(start, read({ low: 0.3, high: 0.3 }))).toBe('');
  });
});

describe('how a circuit is filled', () => {
  it('keeps what was said and nothing else', () => {
    const all = { freezingC: -20, shareInside: 0.3, school: 'water-first', cansL: [1, 5], priming: 'crank' } as const;
    const plan = (more: object): EntryBody => ({ kind: 'fill-planned', circuit: 'coolant', ...more });
    expect(then(start, plan(all)).fills.get('coolant')).toMatchObject(all);
    for (const absent of Object.keys(all))
      expect(then(start, plan({})).fills.get('coolant')).not.toHaveProperty(absent);
  });
});
