import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { entriesForNext, recorder, workOn } from '../testing/crew.js';
import { refused, then } from '../testing/small-job.js';
import {
  adjustmentNow,
  adjustmentsOf,
  gateOf,
  isDone,
  looksLeft,
  looseGroups,
  nextUp,
  openItems,
  replay,
  startOf,
  type EntryBody,
  type JobState,
} from './index.js';

const plan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const atTheStart = workOn(
  startOf(plan),
  recorder(),
  (state) => nextUp(state)?.operation.holdPoint === 'pre-start',
).state;
const words = (state: JobState, is: string) =>
  gateOf(state, 'pre-start')
    .blockers.filter((blocker) => blocker.is === is)
    .map((blocker) => blocker.words);
const tried = (halfTurns: number, went: readonly string[], not: readonly string[]): EntryBody => ({
  kind: 'adjustment-tried',
  connection: 'selector-rod',
  halfTurns,
  went,
  not,
});

describe('what is looked at as joints go together', () => {
  it('holds the first start until somebody looked, and again where it was not right', () => {
    expect(words(atTheStart, 'look')).toContain(
      'The fuel feed at the high-pressure pump: It clicked? Pulled hard: it stays?',
    );
    const pulled = then(atTheStart, {
      kind: 'joint-looked-at',
      connection: 'fuel-feed',
      looks: ['click', 'pull'],
      good: false,
      note: 'Comes off again',
    });
    expect(words(pulled, 'look').join()).toMatch(/fuel feed.*make good: It clicked/);
    expect(
      openItems(pulled)
        .map((item) => item.words)
        .join(),
    ).toMatch(/Not right: the fuel feed.*Comes off again/);
    const good = then(pulled, {
      kind: 'joint-looked-at',
      connection: 'fuel-feed',
      looks: ['click', 'pull'],
      good: true,
    });
    expect(words(good, 'look').join()).not.toMatch(/fuel feed/);
    expect(looksLeft(good).length).toBe(looksLeft(atTheStart).length - 1);
    const bad = (state: JobState) => openItems(state).filter((item) => item.words.startsWith('Not right:'));
    expect(bad(pulled)).toHaveLength(2);
    expect(bad(good)).toEqual([]);
  });

  it('is of a joint of the job, and wants words where it is not right', () => {
    const look = { kind: 'joint-looked-at', connection: 'fuel-feed', looks: ['click'], good: true } as const;
    expect(refused(atTheStart, { ...look, looks: ['click'], good: false })).toBe('Write what is wrong with it.');
    expect(refused(atTheStart, { ...look, connection: 'nowhere' })).toMatch(/no connection called/);
  });

  it('holds nothing on a job that was planned before the rule', () => {
    const before = workOn(
      startOf({ ...plan, rules: 4 }),
      recorder(),
      (state) => nextUp(state)?.operation.holdPoint === 'pre-start',
    ).state;
    expect(words(before, 'look')).toEqual([]);
    expect(words(before, 'adjust')).toEqual([]);
  });
});

describe('what is set by trying', () => {
  it('holds the first start until every gear goes in, and says what to turn', () => {
    expect(words(atTheStart, 'adjust')).toEqual([
      'The selector rod at the gearbox lever: Try every gear as it stands.',
    ]);
    const first = then(atTheStart, tried(0, ['P', 'R', 'N'], ['D']));
    expect(words(first, 'adjust').join()).toMatch(/Turn it \d+ half turns? (on|back)/);
    const to = adjustmentNow(first, 'selector-rod')?.gears?.goTo ?? 0;
    expect(to).not.toBe(0);
    const done = then(first, tried(to, ['P', 'R', 'N', 'D'], []));
    expect(words(done, 'adjust')).toEqual([]);
    expect(adjustmentNow(done, 'selector-rod')).toMatchObject({ good: true, words: 'Every gear goes in.' });
  });

  it('is left with a reason, which is seen at handover', () => {
    const left = then(atTheStart, { ...tried(0, ['P'], ['R']), accepted: 'Bush on order' } as EntryBody);
    expect(words(left, 'adjust')).toEqual([]);
    expect(
      openItems(left)
        .map((item) => item.words)
        .join(),
    ).toMatch(/Not set right: the selector rod.*Accepted: Bush on order/);
  });

  it('keeps the maker’s figures with the try they were read for', () => {
    const read = (figures: object) =>
      then(atTheStart, { ...tried(0, ['P'], []), ...figures } as EntryBody)
        .tries.get('selector-rod')
        ?.at(-1);
    expect(read({ from: 3, to: 9 })).toMatchObject({ from: 3, to: 9 });
    expect(Object.keys(read({ from: 3 }) ?? {})).not.toContain('to');
    expect(Object.keys(read({ to: 9 }) ?? {})).not.toContain('from');
  });

  it.each([
    [tried(0, [], []), /nothing came of this try/],
    [tried(0, ['P'], ['P']), /cannot both/],
    [{ ...tried(0, ['P'], []), connection: 'nowhere' }, /no connection called/],
    [{ ...tried(0, ['P'], []), from: 9, to: 3 }, /least that is wanted is above/],
  ])('is refused as nonsense: %j', (body, why) => expect(refused(atTheStart, body as EntryBody)).toMatch(why));

  it('waits until the joint is together', () => {
    const stripped = workOn(startOf(plan), recorder(), (state) => isDone(state, 'open:selector-rod')).state;
    expect(refused(stripped, tried(0, ['P'], []))).toMatch(/together first/);
    expect(adjustmentsOf(stripped).find(({ connection }) => connection.id === 'selector-rod')?.closed).toBe(false);
  });
});

it('what was looked at and tried stands where the map is changed later', () => {
  const written = then(
    atTheStart,
    { kind: 'joint-looked-at', connection: 'fuel-feed', looks: ['click', 'pull'], good: true },
    tried(0, ['P', 'R', 'N', 'D'], []),
  );
  const connections = plan.map.connections.map((one) => {
    const { adjust: _adjust, ...refit } = one.refit;
    if (one.id === 'selector-rod') return { ...one, refit };
    return one.id === 'fuel-feed' ? { ...one, fasteners: [{ count: 1, what: 'worm clamp 12–16, 7 mm' }] } : one;
  });
  const { refused: why } = replay(startOf({ ...plan, map: { ...plan.map, connections } }), written.entries);
  expect(why?.refusals).toBeUndefined();
});

describe('play, and the tension of a belt', () => {
  const belted = { ...plan, map: usualMap('utility-belt'), powerpack: 'engine', route: 'top' };
  const back = workOn(startOf(belted), recorder(), (state) => nextUp(state)?.operation.holdPoint === 'pre-start').state;
  const cable = (halfTurns: number, readingMm: number): EntryBody => ({
    kind: 'adjustment-tried',
    connection: adjustmentsOf(back).find(({ spec }) => spec.what === 'free-play')?.connection.id ?? '',
    halfTurns,
    readingMm,
  });

  it('is turned to by what a half turn does', () => {
    const id = (cable(0, 0) as { readonly connection: string }).connection;
    const once = then(back, cable(0, 8));
    expect(adjustmentNow(once, id)?.words).toBe(
      '8.0 mm. Turn it one half turn and measure again: that tells what one does.',
    );
    const twice = then(once, cable(1, 7));
    expect(adjustmentNow(twice, id)?.words).toBe(
      '7.0 mm. Turn it 5 half turns on, to +6. A half turn does about 1.0 mm.',
    );
    expect(adjustmentNow(then(twice, cable(6, 2)), id)).toMatchObject({ good: true, words: '2.0 mm, as wanted.' });
  });

  it('of a belt goes by its note, and by the maker’s figure once that is written down', () => {
    const belt = { by: 'frequency', spanMm: 300, gramsPerM: 90, hz: 60 } as const;
    const measured = { kind: 'adjustment-tried', connection: 'drive-belt-off', halfTurns: 0, belt } as const;
    expect(adjustmentNow(then(back, measured), 'drive-belt-off')).toMatchObject({
      good: true,
      reading: expect.closeTo(116.64, 2),
    });
    const figured = then(back, { ...measured, from: 150, to: 180 });
    expect(adjustmentNow(figured, 'drive-belt-off')).toMatchObject({ good: false, done: false });
    expect(refused(back, { ...measured, belt: { ...belt, hz: 0 } })).toMatch(/Pluck it/);
    expect(refused(back, { kind: 'adjustment-tried', connection: 'drive-belt-off', halfTurns: 0 })).toMatch(
      /nothing came of this try/,
    );
  });
});

describe('grounds', () => {
  it('that were measured and do not carry are made good, or stay with a reason', () => {
    const look = { kind: 'ground-checked', connection: 'engine-ground', good: true, dropV: 0.7 } as const;
    expect(refused(atTheStart, look)).toMatch(/does not carry/);
    expect(refused(atTheStart, { ...look, note: 'New strap on Monday' })).toBe('');
    expect(then(atTheStart, { ...look, dropV: 0.1, ohms: 0.05 }).grounds.get('engine-ground')).toMatchObject({
      dropV: 0.1,
      ohms: 0.05,
    });
  });
});

describe('a seat', () => {
  const split = { ...plan, map: usualMap('longitudinal-manual'), powerpack: 'engine', route: 'top-engine' };
  const atTheClutch = workOn(
    startOf(split),
    recorder(),
    (state) => nextUp(state)?.operation.id === 'do:clutch-on',
  ).state;
  const done: EntryBody = { kind: 'operation-done', operation: 'do:clutch-on' };
  const measured = (readingsMm: readonly number[], more: object = {}): EntryBody => ({
    kind: 'seat-measured',
    operation: 'do:clutch-on',
    readingsMm,
    ...more,
  });

  it('is measured before the step is done: afterwards nobody gets there', () => {
    expect(refused(atTheClutch, done)).toMatch(/Measure it first: height of the clutch fingers/);
    const crooked = then(atTheClutch, measured([34, 36, 34]));
    expect(refused(crooked, done)).toMatch(/2.0 mm apart.*Measure again, or accept it/);
    expect(refused(then(crooked, measured([34, 34.2, 34])), done)).toBe('');
    const accepted = then(crooked, measured([34, 36, 34], { accepted: 'By the maker’s own drawing' }));
    expect(refused(accepted, done)).toBe('');
    expect(
      openItems(accepted)
        .map(({ words: said }) => said)
        .join(),
    ).toMatch(/fingers: .*Accepted: By the maker/);
  });

  it('is refused where nothing is measured, or too little was', () => {
    expect(refused(atTheClutch, { ...measured([1]), operation: 'do:clean-faces' } as EntryBody)).toMatch(
      /Nothing is measured/,
    );
    expect(refused(atTheClutch, measured([34]))).toMatch(/at 3 places/);
  });

  it('is part of what a careful crew writes', () =>
    expect(entriesForNext(atTheClutch).map(({ kind }) => kind)).toEqual(['seat-measured', 'operation-done']));
});

describe('joints that stay loose until all are in', () => {
  const group = (state: JobState, called: string) => {
    const found = looseGroups(state).find(({ name }) => name === called);
    if (!found) throw new Error(`There is no group ${called}.`);
    return found;
  };

  it('are started, drawn in, and only then tightened, each after those it waits for', () => {
    let state = workOn(startOf(plan), recorder(), (now) => isDone(now, 'hold:pre-lower')).state;
    const seen: string[] = [];
    state = workOn(state, recorder(), (now) => {
      const { next, allIn, startedByHand, joints, tight } = group(now, 'mounts');
      if (tight > 0) expect(allIn).toBe(true);
      if (joints.some((joint) => joint.in)) expect(startedByHand).toBe(joints.length);
      if (next) seen.push(next.connection.id);
      return group(now, 'mounts').final;
    }).state;
    expect(group(state, 'mounts')).toMatchObject({ final: true, allIn: true });
    expect(group(state, 'mounts').next).toBeUndefined();
    expect(seen.length).toBeGreaterThan(0);
    const order = group(state, 'mounts').joints.map(({ connection }) => connection.id);
    expect(order.indexOf('gearbox-mount')).toBeGreaterThan(order.indexOf('mount-left'));
  });

  it('of the exhaust go from the engine outwards, brackets last', () => {
    const order = group(atTheStart, 'exhaust').joints.map(({ connection }) => connection.id);
    expect(order).toEqual(['downpipe-turbo', 'downpipe-flange', 'downpipe-bracket']);
  });
});
