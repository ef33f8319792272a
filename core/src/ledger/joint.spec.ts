import fc from 'fast-check';
import { RULES_NOW, type ConnectionId, type JobPlan } from '../connection-map/index.js';
import { minutes } from '../layouts/author.js';
import { usualMap } from '../layouts/index.js';
import { operationId } from '../teardown/index.js';
import { besideTheLast } from '../torque/index.js';
import { entriesForNext, recorder, workOn } from '../testing/crew.js';
import { refused as refusedNow, then } from '../testing/small-job.js';
import { withConnection } from '../testing/small-map.js';
import {
  boltNumbers,
  canApply,
  extend,
  foldLedger,
  isDone,
  jointNow,
  nextUp,
  openItems,
  startOf,
  TORQUE_COLUMNS,
  torqueSheet,
  type EntryBody,
  type JobState,
} from './index.js';

const BELL = 'bell-housing';
const plan: JobPlan = {
  map: usualMap('longitudinal-manual'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const write = recorder('Ines');
/** The job with the bell housing in hand for its torque. */
const atBell = (id: ConnectionId = 'propshaft-gearbox'): JobState =>
  workOn(
    startOf(plan),
    write,
    (state) => nextUp(state)?.operation.id === operationId.torque(id) && !nextUp(state)?.moveTo,
  ).state;
const joints = [...startOf(plan).work.connections.values()]
  .filter(({ refit, fasteners }) => refit.torque && fasteners.reduce((sum, { count }) => sum + count, 0) >= 4)
  .map(({ id }) => id)
  .filter((id) => startOf(plan).work.operations.has(operationId.torque(id)));
const JOINT = joints[0] ?? BELL;
const start = atBell(JOINT);
const targetNm = start.work.connections.get(JOINT)?.refit.torque?.targetNm ?? 0;
const bolts = jointNow(start, JOINT)?.bolts ?? 0;
const shares = [0.3, 0.6, 1];
const wrench = { id: 'own', name: 'Own', range: { lowestNm: 1, highestNm: 5 * targetNm } };
const tight = (stage: number, which: readonly number[], value = targetNm * (shares[stage] ?? 1)): EntryBody => ({
  kind: 'bolts-tightened',
  connection: JOINT,
  stage,
  bolts: which,
  read: { value, unit: 'N·m' },
  wrench: { ...wrench, range: { lowestNm: targetNm / 2, highestNm: 2 * targetNm } },
});
const all = Array.from({ length: bolts }, (_, bolt) => bolt);
const done: EntryBody = { kind: 'operation-done', operation: operationId.torque(JOINT) };
const after = (...bodies: readonly EntryBody[]) => extend(start, bodies.map(write));
const now = (...bodies: readonly EntryBody[]) => {
  const joint = jointNow(after(...bodies), JOINT);
  if (!joint) throw new Error('There is no joint');
  return joint;
};
const refused = (before: readonly EntryBody[], body: EntryBody) =>
  canApply(after(...before), write(body)).map(({ words }) => words);

describe('a joint bolt by bolt', () => {
  it('goes through its stages, and is final with the last bolt of the last', () => {
    expect(bolts).toBeGreaterThanOrEqual(4);
    expect(now().stages).toHaveLength(3);
    expect(now(tight(0, all), tight(1, all))).toMatchObject({ stageAt: 2, through: 0, final: false });
    const [first, ...rest] = now().order;
    expect(now(tight(0, [first ?? 0]))).toMatchObject({ stageAt: 0, through: 1, next: rest });
    const final = [tight(0, all), tight(1, all), tight(2, all)];
    expect(now(...final)).toMatchObject({ final: true, next: [], missed: [] });
    expect(refused(final, done)).toEqual([]);
    expect(
      after(...final)
        .torques.get(JOINT)
        ?.at(-1),
    ).toMatchObject({ verdict: 'within', targetNm });
    expect(isDone(after(...final, done), operationId.torque(JOINT))).toBe(true);
  });

  it('that was begun and left is half-way, by its numbers', () => {
    const half = [tight(0, all), tight(1, now().order.slice(0, 2))];
    expect(openItems(after(...half)).map(({ words }) => words)).toContainEqual(
      expect.stringMatching(new RegExp(`^Half-way: .*60 %.*: 2 of ${bolts} bolts$`)),
    );
    expect(refused(half, done)[0]).toMatch(/^Bolts 3, .* still to be brought to 60 %/);
    expect(boltNumbers(now(), now().order)).toEqual(all.map((bolt) => bolt + 1));
  });

  it('is told where a bolt was touched straight after its neighbour, in the stage it is in and one by one', () => {
    const order = now().order;
    const beside = (...bodies: readonly EntryBody[]) => now(...bodies).besideLast;
    const onward = [...order].reverse();
    const one = (stage: number, hole: number) => tight(stage, [hole]);
    const wrong = onward.slice(0, 3).map((hole) => one(0, hole));
    const told = besideTheLast(now().pattern.holes, order, onward.slice(0, 3));
    expect(beside(...wrong)).toEqual(told);
    // Those of the stage before, and several at once, are not held against it.
    expect(beside(...onward.map((hole) => one(0, hole)))).toEqual([]);
    expect(beside(tight(0, onward.slice(0, 3)))).toEqual([]);
  });

  it('keeps a bolt where it was that was touched in a later stage before an earlier', () => {
    const [first = 0] = now().order;
    const early = now(tight(2, [first]));
    expect(early.done[first]).toBe(0);
    expect(early.outOfOrder).toEqual([first]);
    expect(now(tight(2, [first]), tight(0, [first])).outOfOrder).toEqual([]);
  });

  it.each([
    ['under', 0.9],
    ['over', 1.1],
  ] as const)('is not final with a bolt %s its figure until that is done again or accepted', (_verdict, share) => {
    const [first = 0] = now().order;
    const missed = [tight(0, all), tight(1, all), tight(2, all), tight(2, [first], targetNm * share)];
    expect(now(...missed)).toMatchObject({ missed: [first], final: false });
    expect(refused(missed, done)[0]).toMatch(/^Bolt 1: missed the figure/);
    expect(now(...missed, tight(2, [first])).final).toBe(true);
    const accepted: EntryBody = { kind: 'torque-accepted', connection: JOINT, reason: 'Looked at, not stretched' };
    expect(refused(missed, accepted)).toEqual([]);
    expect(now(...missed, accepted).final).toBe(true);
    expect(refused([...missed, accepted], done)).toEqual([]);
    expect(openItems(after(...missed, accepted)).some(({ words }) => words.includes('accepted: Looked at'))).toBe(true);
    // What misses afterwards is not covered by it.
    expect(now(...missed, accepted, tight(2, [first], targetNm * share)).final).toBe(false);
  });

  it.each<readonly [string, EntryBody, RegExp]>([
    ['a stage there is not', tight(3, [0]), /no such stage at the bonnet hinges: 3 stages/],
    ['a bolt there is not', tight(0, [bolts]), /^Say which it was of \d bolts? at the /],
    ['no bolt at all', tight(0, []), /^Say which it was of \d bolts? at the /],
    ['one bolt twice', tight(0, [1, 1]), /stands there twice/],
    ['no reading', { kind: 'bolts-tightened', connection: JOINT, stage: 0, bolts: [0] }, /Say what the wrench read/],
    [
      'a wrench upside down',
      { ...tight(0, [0]), wrench: { ...wrench, range: { lowestNm: 90, highestNm: 20 } } } as EntryBody,
      /A wrench from 90 to 20 N·m does not exist/,
    ],
    [
      'an adapter that eats the lever',
      {
        ...tight(0, [0]),
        wrench: { ...wrench, handleMm: 300, adapter: { lengthMm: 320, angleDeg: 180 } },
      } as EntryBody,
      /leaves nothing of a handle of 300 mm/,
    ],
    ['a joint there is not', { ...tight(0, [0]), connection: 'warp' } as EntryBody, /no connection called/],
  ])('does not take %s', (_what, body, words) => {
    expect(refused([], body).join(' ')).toMatch(words);
  });

  it('is gone on with bolt by bolt once it was begun so, and not before it is closed', () => {
    expect(
      refused([tight(0, all)], {
        kind: 'torque-read',
        connection: JOINT,
        wrench: 'half',
        read: { value: 50, unit: 'N·m' },
      }),
    ).toEqual([expect.stringMatching(/^Bolt by bolt is how a start was made at /)]);
    expect(canApply(startOf(plan), write(tight(0, [0]))).map(({ words }) => words)[0]).toMatch(
      /before its final torque/,
    );
  });

  it('is final by no order of touches while a bolt misses a stage', () => {
    const touch = fc.record({
      stage: fc.integer({ min: 0, max: 2 }),
      bolts: fc.uniqueArray(fc.integer({ min: 0, max: bolts - 1 }), { minLength: 1, maxLength: bolts }),
      hits: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(touch, { maxLength: 30 }), (touches) => {
        const joint = now(
          ...touches.map(({ stage, bolts: which, hits }) =>
            tight(stage, which, targetNm * (shares[stage] ?? 1) * (hits ? 1 : 1.2)),
          ),
        );
        const reached = all.map(() => 0);
        const good = all.map(() => false);
        for (const { stage, bolts: which, hits } of touches)
          for (const bolt of which) {
            if ((reached[bolt] ?? 0) < stage) continue;
            if (reached[bolt] === stage) reached[bolt] = stage + 1;
            good[bolt] = hits || stage < 2;
            if (!hits && stage < 2 && targetNm * (shares[stage] ?? 1) * 1.2 > targetNm * 1.04) good[bolt] = false;
          }
        expect(joint.done).toEqual(reached);
        expect(joint.final).toBe(reached.every((stage) => stage === 3) && good.every(Boolean));
      }),
      { numRuns: 120 },
    );
  });
});

describe('a joint whose group is not in', () => {
  // The left mount has its final torque before the right one.
  const closedBoth = workOn(
    startOf(withConnection('mount-right', { fasteners: [{ count: 2, what: 'M10 × 60 bolt, 16 mm' }] })),
    write,
    (state) => ['close:mount-left', 'close:mount-right'].every((id) => isDone(state, id)),
  ).state;
  const touch = (stage: number, value: number, more: object = {}): EntryBody => ({
    kind: 'bolts-tightened',
    connection: 'mount-right',
    stage,
    bolts: [0],
    read: { value, unit: 'N·m' },
    wrench: { id: 'own', name: 'Own', range: { lowestNm: 10, highestNm: 100 } },
    ...more,
  });
  const verdicts = (...bodies: readonly EntryBody[]) =>
    then(closedBoth, ...bodies)
      .tightened.get('mount-right')
      ?.touches.map(({ verdict }) => verdict);

  it('is told that its last stage came too early, but not the stages before', () => {
    expect(isDone(closedBoth, 'torque:mount-left')).toBe(false);
    expect(jointNow(closedBoth, 'mount-right')?.stages).toHaveLength(2);
    expect(verdicts(touch(0, 30), touch(1, 60))).toEqual(['within', 'too-early']);
    // What missed its figure is told so first.
    expect(verdicts(touch(0, 30), touch(1, 20))).toEqual(['within', 'under']);
  });

  it('is within once the other is in', () => {
    const left = workOn(closedBoth, write, (state) => isDone(state, 'torque:mount-left')).state;
    const state = then(left, touch(0, 30), touch(1, 60));
    expect(state.tightened.get('mount-right')?.touches.map(({ verdict }) => verdict)).toEqual(['within', 'within']);
  });
});

describe('a joint that is turned by an angle after its figure', () => {
  const mount = withConnection('mount-left', {
    fasteners: [{ count: 4, what: 'M10 × 60 bolt, 16 mm' }],
    refit: { minutes: minutes(2, 4, 8), torque: { targetNm: 60, angleDeg: 90 } },
  });
  const atMount = workOn(startOf(mount), write, (state) => nextUp(state)?.operation.id === 'torque:mount-left').state;
  const every = [0, 1, 2, 3];
  const toTorque = (stage: number, more: object = {}): EntryBody => ({
    kind: 'bolts-tightened',
    connection: 'mount-left',
    stage,
    bolts: every,
    read: { value: 60 * (shares[stage] ?? 1), unit: 'N·m' },
    wrench: { id: 'own', name: 'Own', range: { lowestNm: 10, highestNm: 100 } },
    ...more,
  });
  const turn = (degrees: number, which: readonly number[] = every): EntryBody => ({
    kind: 'bolts-tightened',
    connection: 'mount-left',
    stage: 3,
    bolts: which,
    degrees,
  });
  const snug = [toTorque(0), toTorque(1), toTorque(2)];
  const turned = (...bodies: readonly EntryBody[]) => then(atMount, ...snug, ...bodies);
  const joint = (state: JobState) => jointNow(state, 'mount-left');

  it('is final when every bolt has been turned all of it, in as many touches as it takes', () => {
    expect(joint(turned())).toMatchObject({ stageAt: 3, stage: { is: 'angle', degrees: 90 }, final: false });
    expect(joint(turned(turn(45)))).toMatchObject({ done: [3, 3, 3, 3], turnedDeg: [45, 45, 45, 45], final: false });
    expect(joint(turned(turn(45), turn(44)))?.final).toBe(false);
    expect(joint(turned(turn(45), turn(45), turn(45)))).toMatchObject({ done: [4, 4, 4, 4], final: true });
    expect(joint(turned(turn(90)))?.final).toBe(true);
    expect(joint(turned(turn(90, [0, 1, 2]), turn(60, [3])))).toMatchObject({ through: 3, next: [3], final: false });
    expect(refusedNow(turned(turn(60)), { kind: 'operation-done', operation: 'torque:mount-left' })).not.toBe('');
    expect(refusedNow(turned(turn(90)), { kind: 'operation-done', operation: 'torque:mount-left' })).toBe('');
  });

  it('is turned from its figure on: what was turned to get there does not count', () =>
    expect(joint(then(atMount, toTorque(0), toTorque(1), toTorque(2, { degrees: 60 }), turn(45)))).toMatchObject({
      done: [3, 3, 3, 3],
      final: false,
    }));
});

it('an ordinary crew’s job comes to its end with every joint as before', () => {
  expect(entriesForNext(start).map(({ kind }) => kind)).toEqual(['torque-read', 'operation-done']);
});

describe('the torque sheet', () => {
  it('has every touch in its order, with what missed and why it stays, and nothing that was taken back', () => {
    const [first = 0, second = 0] = now().order;
    const wrong = write(tight(0, [second]));
    const state = extend(start, [
      write(tight(0, all)),
      wrong,
      write(tight(1, all)),
      write(tight(2, [first], targetNm * 1.2)),
      write({ kind: 'torque-accepted', connection: JOINT, reason: 'Looked at' }),
      write({ kind: 'corrected', corrects: wrong.id, reason: 'Slip of the finger' }),
    ]);
    const rows = torqueSheet(state, JOINT);
    expect(
      rows.map(({ bolts: which, stage, verdict, accepted }) => [which, stage.split(',')[0], verdict, accepted]),
    ).toEqual([
      ['all', '30 %', 'within', ''],
      ['all', '60 %', 'within', ''],
      ['1', '100 %', 'over', 'Looked at'],
    ]);
    const name = start.work.connections.get(JOINT)?.name;
    expect(rows[0]).toMatchObject({ joint: name, by: 'Ines', wrench: 'Own', figureNm: String(targetNm) });
    expect(torqueSheet(state, 'nothing')).toEqual([]);
    const read = { kind: 'torque-read', wrench: 'half', read: { value: 50, unit: 'N·m' } } as const;
    const unknown = foldLedger(plan, [write({ ...read, connection: 'off the map' })]);
    expect(torqueSheet(unknown).map(({ joint }) => joint)).toEqual(['off the map']);
    expect(torqueSheet(state).length).toBeGreaterThan(rows.length);
    expect(Object.keys(rows[0] ?? {}).sort()).toEqual(TORQUE_COLUMNS.map(({ id }) => id).sort());
  });
});
