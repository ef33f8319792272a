import type { JobPlan } from '../connection-map/index.js';
import { recorder, workOn, write } from '../testing/crew.js';
import { withConnection } from '../testing/small-map.js';
import {
  canApply,
  extend,
  fastenersToBuy,
  foldLedger,
  gateOf,
  groundsOf,
  isDone,
  keptWhere,
  leftAndMissing,
  looseBolts,
  openHomes,
  openItems,
  setCountOf,
  setsOf,
  leftToItself,
  startOf,
  unevenWords,
  type EntryBody,
  type JobState,
} from './index.js';

const bolts = { count: 4, what: 'M10×1.5 × 40, 16 mm' };
const older: JobPlan = withConnection('mount-left', { fasteners: [bolts] });
const plan: JobPlan = { ...older, rules: 2 };
const record = recorder();
const then = (state: JobState, ...bodies: readonly EntryBody[]) =>
  bodies.reduce((now, body) => write(now, record(body)), state);
const refused = (state: JobState, body: EntryBody) =>
  canApply(state, record(body))
    .map(({ words }) => words)
    .join(' ');
const counted = (direction: 'out' | 'in', count: number, bag?: number): EntryBody => ({
  kind: 'fasteners-counted',
  connection: 'mount-left',
  direction,
  count,
  ...(direction === 'out' ? { kept: 'bag' as const } : {}),
  ...(bag === undefined ? {} : { bag }),
});
const until = (start: JobPlan, stop: (state: JobState) => boolean) => workOn(startOf(start), record, stop).state;
const torque: EntryBody = {
  kind: 'torque-read',
  connection: 'mount-left',
  wrench: 'three-eighths',
  read: { value: 60, unit: 'N·m' },
};
/** The left mount bolted up again, its torque next; `out` were counted out. */
const closed = (start: JobPlan, out: number) =>
  then(
    workOn(
      then(
        until(start, (state) => isDone(state, 'open:mount-left')),
        counted('out', out, 31),
      ),
      record,
      (state) => isDone(state, 'close:mount-left'),
    ).state,
  );
const bolt = (id: string): EntryBody => ({
  kind: 'bolt-found',
  bolt: id,
  measured: { diameterMm: 9.86, lengthMm: 40 },
});

describe('counting home', () => {
  it('does not let a set be torqued that was not counted in, or does not come out even', () => {
    const state = closed(plan, 4);
    expect(refused(state, torque)).toBe('Count the fasteners in first.');
    const short = then(state, counted('in', 3));
    expect(refused(short, torque)).toMatch(/Bag 31 is not empty: 1 left. The set is not full: 3 of 4 in/);
    expect(refused(then(state, counted('in', 5)), torque)).toMatch(/only 4 belong here/);
    expect(refused(then(state, counted('in', 4)), torque)).toBe('');
  });

  it('asks for what was missing before the crew ever touched it', () => {
    const state = then(closed(plan, 3), counted('in', 3));
    expect(setCountOf(state, 'mount-left')).toMatchObject({ full: 4, held: 3, left: 0, missing: 1 });
    expect(refused(state, torque)).toMatch(/^The set is not full: 3 of 4 in/);
  });

  it('lets it be, for a reason, until somebody counts again', () => {
    const short = then(closed(plan, 4), counted('in', 3));
    const accepted = then(short, { kind: 'count-accepted', connection: 'mount-left', reason: 'New one on Monday' });
    expect(refused(accepted, torque)).toBe('');
    expect(openItems(then(accepted)).map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/4 counted out, 3 counted in/),
    );
    expect(refused(then(accepted, counted('in', 2)), torque)).toMatch(/2 left/);
  });

  it('accepts nothing where there is nothing to accept', () => {
    const accept: EntryBody = { kind: 'count-accepted', connection: 'mount-left', reason: 'So' };
    expect(refused(closed(plan, 4), accept)).toMatch(/Nothing was counted in/);
    expect(refused(then(closed(plan, 4), counted('in', 4)), accept)).toMatch(/comes out even/);
  });

  it('holds ledgers written before it to the older rules', () => {
    const state = then(closed(older, 4), counted('in', 3));
    expect(refused(state, torque)).toBe('');
    expect(unevenWords(setCountOf(state, 'mount-left'))).toMatch(/1 left/);
  });

  it('lists what is left and what is missing, and puts it on the shopping list', () => {
    const state = then(closed(plan, 4), counted('in', 3));
    const { left, missing } = leftAndMissing(state);
    expect(left.map(({ connection }) => connection.id)).toEqual(['mount-left']);
    expect(missing).toHaveLength(1);
    expect(fastenersToBuy(state)).toContainEqual(
      expect.objectContaining({ count: 1, what: 'M10×1.5 × 40, 16 mm', why: 'missing' }),
    );
  });
});

describe('what is left over and what is missing', () => {
  const open = until(plan, (state) => isDone(state, 'open:mount-left'));

  it('is told of joints that are together again, and only where something is', () => {
    expect(leftAndMissing(then(closed(plan, 4), counted('in', 4)))).toEqual({ left: [], missing: [], loose: [] });
    const both = leftAndMissing(then(closed(plan, 4), counted('in', 3)));
    expect([both.left, both.missing].map((some) => some.map(({ connection: { id } }) => id))).toEqual([
      ['mount-left'],
      ['mount-left'],
    ]);
    // One was never there: it is missing, and none is left over.
    const one = leftAndMissing(then(closed(plan, 3), counted('in', 3)));
    expect([one.left.length, one.missing.length]).toEqual([0, 1]);
    // While it is open, nothing of it is left over.
    expect(leftAndMissing(then(open, counted('out', 3, 4)))).toEqual({ left: [], missing: [], loose: [] });
  });

  it('is nothing of a joint that has no fasteners and none were counted at', () => {
    expect(setCountOf(open, 'sensor')).toBeUndefined();
    expect(setCountOf(open, 'ghost')).toBeUndefined();
    const found = then(open, {
      kind: 'fasteners-counted',
      connection: 'sensor',
      direction: 'out',
      count: 2,
      kept: 'hole',
    });
    expect(setCountOf(found, 'sensor')).toStrictEqual({
      connection: open.work.connections.get('sensor'),
      full: 2,
      held: 2,
      out: 2,
      kept: 'hole',
      closed: false,
      left: 0,
      missing: 0,
    });
  });

  it('is told with where they are kept and the number of the bag', () => {
    expect(setCountOf(open, 'mount-left')).toStrictEqual({
      connection: open.work.connections.get('mount-left'),
      full: 4,
      held: 0,
      closed: false,
      left: 0,
      missing: 0,
    });
    expect(setCountOf(then(open, counted('out', 4, 7)), 'mount-left')).toMatchObject({ kept: 'bag', bag: 7, out: 4 });
    expect([keptWhere(undefined, 3), keptWhere(undefined, undefined), keptWhere('card', 3)]).toEqual([
      'bag',
      'hole',
      'card',
    ]);
  });

  it('is told without a bag where there is none', () => {
    const loose: EntryBody = {
      kind: 'fasteners-counted',
      connection: 'mount-left',
      direction: 'out',
      count: 4,
      kept: 'hole',
    };
    const state = then(
      workOn(then(open, loose), record, (now) => isDone(now, 'close:mount-left')).state,
      counted('in', 3),
    );
    expect(unevenWords(setCountOf(state, 'mount-left'))).toMatch(/^Not all that came out went in: 1 left\. The set is/);
  });
});

describe('fasteners as somebody found them', () => {
  it('stand in for the map’s', () => {
    const sets = [{ count: 3, what: 'M10×1.5 × 45, 16 mm' }];
    const state = then(startOf(plan), { kind: 'set-described', connection: 'mount-left', sets });
    expect(setsOf(state, 'mount-left')).toEqual(sets);
    expect(setsOf(startOf(plan), 'mount-left')).toEqual([bolts]);
  });

  it('are judged where they are known, and no more of them than there are', () => {
    const judged = (more: object): EntryBody =>
      ({
        kind: 'fasteners-judged',
        connection: 'mount-left',
        set: 0,
        count: 4,
        condition: 'galled',
        ...more,
      }) as EntryBody;
    expect(refused(startOf(plan), judged({}))).toBe('');
    expect(refused(startOf(plan), judged({ count: 5 }))).toMatch(/only 4 × M10.* here, not 5/);
    expect(refused(startOf(plan), judged({ set: 1 }))).toMatch(/no kind of fastener called “1”/);
    expect(refused(startOf(plan), judged({ connection: 'ghost' }))).toMatch(/no connection called “ghost”/);
  });

  it('go onto the shopping list when they are no good, until something replaces them', () => {
    const judge = (count: number, replacedBy?: string): EntryBody => ({
      kind: 'fasteners-judged',
      connection: 'mount-left',
      set: 0,
      count,
      condition: 'galled',
      ...(replacedBy ? { replacedBy } : {}),
    });
    const galled = then(startOf(plan), judge(2));
    expect(fastenersToBuy(galled)).toEqual([
      expect.objectContaining({ count: 2, what: 'M10×1.5 × 40, 16 mm', why: 'galled' }),
    ]);
    expect(fastenersToBuy(then(galled, judge(2, 'M10×1.5 × 40, 16 mm, 8.8')))).toEqual([]);
    expect(fastenersToBuy(then(galled, judge(0)))).toEqual([]);
    // What is on the list of parts for that joint is bought; of more than that, the rest is left to buy.
    const order = (quantity: number): EntryBody => ({
      kind: 'part-needed',
      need: 'bolts',
      name: 'M10×1.5 × 40, 16 mm',
      quantity,
      reason: 'Galled',
      operation: 'close:mount-left',
    });
    expect(fastenersToBuy(then(galled, order(2)))).toEqual([]);
    expect(fastenersToBuy(then(galled, order(1)))).toEqual([expect.objectContaining({ count: 1, why: 'galled' })]);
    expect(refused(startOf(plan), judge(5))).toMatch(/only 4/);
    expect(refused(startOf(plan), { ...judge(1), set: 3 } as EntryBody)).toMatch(/no kind of fastener/);
  });
});

describe('a loose fastener', () => {
  it('looks first where one is missing', () => {
    const state = then(
      until(plan, (now) => isDone(now, 'open:mount-left')),
      counted('out', 3, 4),
      bolt('b1'),
    );
    const [home] = openHomes(state);
    expect(home).toMatchObject({ connection: 'mount-left', room: 1, weight: 1 });
    expect(looseBolts(state)).toHaveLength(1);
  });

  it('may belong anywhere that is open, likelier where one is missing than where nobody counted', () => {
    const open = until(plan, (now) => isDone(now, 'open:mount-left'));
    const homes = (state: JobState) =>
      openHomes(state).map(({ id, connection, set, room, weight }) => [id, connection, set, room, weight]);
    expect(homes(open)).toEqual([['mount-left#0', 'mount-left', 0, 4, 0.5]]);
    expect(homes(then(open, counted('out', 4, 4)))).toEqual([['mount-left#0', 'mount-left', 0, 4, 0.02]]);
    expect(homes(then(open, counted('out', 2, 4)))).toEqual([['mount-left#0', 'mount-left', 0, 2, 1]]);
    expect(homes(closed(plan, 4))).toEqual([]);
    expect(homes(then(closed(plan, 4), counted('in', 4)))).toEqual([]);
    expect(homes(then(closed(plan, 4), counted('in', 3)))).toEqual([['mount-left#0', 'mount-left', 0, 1, 1]]);
  });

  it('that found its home counts with its set, and is not placed twice', () => {
    const state = then(
      until(plan, (now) => isDone(now, 'open:mount-left')),
      counted('out', 3, 4),
      bolt('b2'),
      { kind: 'bolt-homed', bolt: 'b2', connection: 'mount-left', set: 0 },
    );
    expect(setCountOf(state, 'mount-left')).toMatchObject({ held: 4, full: 4 });
    expect(looseBolts(state)).toEqual([]);
    expect(refused(state, { kind: 'bolt-set-aside', bolt: 'b2', reason: 'Not ours' })).toMatch(
      /home at the left mount/,
    );
  });

  it('without a home is told at handover; set aside it is not', () => {
    const state = then(startOf(plan), bolt('b3'));
    expect(openItems(state).map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/^Loose and without a home/),
    );
    const aside = then(state, { kind: 'bolt-set-aside', bolt: 'b3', reason: 'From the bench vice' });
    expect(openItems(aside).some(({ is }) => is === 'fastener')).toBe(false);
    expect(refused(aside, bolt('b3'))).toMatch(/written down already/);
    expect(refused(aside, { kind: 'bolt-homed', bolt: 'nobody', connection: 'hose', set: 0 })).toMatch(/no loose/);
  });
});

describe('grounds', () => {
  const refitted = until(plan, (state) => gateOf(state, 'pre-start').blockers.every(({ is }) => is === 'ground'));

  it('that were off are a list of their own, and the start waits for a look at each', () => {
    expect(groundsOf(refitted).map(({ connection }) => connection.id)).toEqual(['negative']);
    expect(gateOf(refitted, 'pre-start').blockers).toEqual([
      { operation: 'close:negative', is: 'ground', words: 'Look at the ground: the battery lead' },
    ]);
    const sign: EntryBody = { kind: 'hold-point-signed', holdPoint: 'pre-start', confirmed: ['tools-out'] };
    expect(refused(refitted, sign)).toMatch(/Look at the ground/);
    const bad = then(refitted, { kind: 'ground-checked', connection: 'negative', good: false, note: 'Paint under it' });
    expect(refused(bad, sign)).toMatch(/Make good: the battery lead \(Paint under it\)/);
    expect(openItems(bad).some(({ is }) => is === 'ground')).toBe(true);
    expect(refused(then(bad, { kind: 'ground-checked', connection: 'negative', good: true }), sign)).toBe('');
  });

  it('are told with their tag, and whether they are on again', () => {
    const open = until(plan, (state) => isDone(state, 'open:negative'));
    expect(groundsOf(open)).toStrictEqual([{ connection: open.work.connections.get('negative'), closed: false }]);
    const tagged = then(open, { kind: 'tagged', connection: 'negative', tag: 12 });
    expect(groundsOf(tagged)[0]).toMatchObject({ tag: 12, closed: false });
    expect(groundsOf(refitted)[0]).toMatchObject({ closed: true });
    expect(groundsOf(startOf(plan))).toEqual([]);
  });

  it('cannot be looked at while they hang loose', () => {
    const open = until(plan, (state) => isDone(state, 'open:negative'));
    expect(refused(open, { kind: 'ground-checked', connection: 'negative', good: true })).toMatch(/again first/);
    expect(refused(open, { kind: 'ground-checked', connection: 'hose', good: true })).toMatch(/no ground/);
  });
});

describe('soaking', () => {
  it('is over when the penetrant has had its time; each try is kept', () => {
    const stuck = (soakMin: number): EntryBody => ({
      kind: 'operation-stuck',
      operation: 'open:mount-left',
      trouble: 'seized',
      tried: 'Penetrant',
      minutesLost: 5,
      means: ['penetrant'],
      soakMin,
    });
    const state = then(startOf(plan), stuck(30), stuck(15));
    const [soaking] = leftToItself(state);
    const at = Date.parse(state.entries.at(-1)?.at ?? '');
    expect(soaking).toMatchObject({ operation: { id: 'open:mount-left' }, readyMs: at + 15 * 60_000 });
    expect(state.struggles.get('open:mount-left')).toHaveLength(2);
    expect(leftToItself(startOf(plan))).toEqual([]);
  });
});

describe('photos', () => {
  const photo = 'a'.repeat(64);
  const taken = (operation: string): EntryBody => ({
    kind: 'photo-taken',
    photo,
    widthPx: 1600,
    heightPx: 1200,
    pinnedTo: { operation },
  });

  it('are pinned to what there is, and marks stay when it is pinned anew', () => {
    const start = startOf(plan);
    expect(refused(start, taken('open:ghost'))).toMatch(/no step/);
    const marks = [{ kind: 'ring' as const, from: { x: 0.2, y: 0.2 }, to: { x: 0.3, y: 0.3 } }];
    expect(refused(start, { kind: 'photo-marked', photo, marks })).toMatch(/no photo/);
    const state = then(start, taken('open:hose'), { kind: 'photo-marked', photo, marks }, taken('open:sensor'));
    expect(state.photos.get(photo)).toMatchObject({ pinnedTo: { operation: 'open:sensor' }, marks });
  });
});

describe('the new entries', () => {
  it('fold the same at once or one by one, and are gone when corrected', () => {
    const state = then(
      startOf(plan),
      { kind: 'keeping-chosen', keeping: 'card' },
      counted('out', 4, 2),
      bolt('b9'),
      { kind: 'work-paused' },
      { kind: 'work-resumed' },
    );
    expect(state.keeping).toBe('card');
    expect(foldLedger(plan, state.entries)).toEqual(state);
    const [first] = state.entries;
    const back = extend(state, [record({ kind: 'corrected', corrects: first?.id ?? '', reason: 'Bags after all' })]);
    expect(back.keeping).toBe('bag');
  });
});
