import { COARSE, wayThrough } from '../clearance/index.js';
import { foldLedger } from '../ledger/index.js';
import { compose, templateOf } from '../layouts/index.js';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { FIRST_GEAR, RiggingError } from '../rigging/index.js';
import {
  findWay,
  fittedEarly,
  legsOf,
  liftFor,
  minutesToTakeOff,
  movesToGoBy,
  onTheWayBack,
  rigOf,
  USUAL_PICKS,
  withoutPart,
  type WayFound,
} from './index.js';
import { offersFor } from './offers.js';

const planOf = (layout: string, powerpack: string, route: string): JobPlan => ({
  map: compose(templateOf(layout)),
  powerpack,
  route,
  rules: RULES_NOW,
});
/** What a search comes to. */
function toItsEnd<Found>(search: Generator<unknown, Found>): Found {
  let step = search.next();
  while (!step.done) step = search.next();
  return step.value;
}
const lengthwise = planOf('longitudinal-manual', 'engine-with-gearbox', 'top');

describe('the lift of a job', () => {
  it('counts as off what the plan takes off, and as on what was passed over', () => {
    const lift = liftFor(foldLedger(lengthwise, []));
    expect(lift?.off.has('radiator')).toBe(true);
    expect(lift?.off.has('alternator')).toBe(false);
    expect(lift?.raisedMm).toBe(350);
    const off = liftFor(foldLedger(withoutPart(lengthwise, 'alternator'), []));
    expect(off?.off.has('alternator')).toBe(true);
  });

  it('knows nothing of a layout nobody drew', () => {
    const plan = { ...lengthwise, map: { ...lengthwise.map, layout: 'hovercraft' } };
    expect(liftFor(foldLedger(plan, []))).toBeUndefined();
  });

  it('reckons what one more part off costs, out and back; nothing for one that does not come off or is off already', () => {
    const minutes = minutesToTakeOff(lengthwise, 'alternator');
    expect(minutes).toBeGreaterThan(5);
    expect(minutes).toBeLessThan(120);
    expect(minutesToTakeOff(lengthwise, 'gearbox')).toBeUndefined();
    expect(minutesToTakeOff(lengthwise, 'radiator')).toBeUndefined();
    expect(minutesToTakeOff(lengthwise, 'flux-valve')).toBeUndefined();
  });
});

describe('what was put off until later', () => {
  const all = foldLedger(lengthwise, []);
  const later = {
    ...all,
    progress: new Map([
      ['remove:fan-shroud', { is: 'skipped', mode: 'later', reason: 'Rusted', at: '', by: '' } as never],
    ]),
  };

  it('is still on, and is offered for what is left to do on it', () => {
    const lift = liftFor(later);
    if (!lift) throw new Error('Nobody drew it.');
    expect(lift.off.has('fan-shroud')).toBe(false);
    expect(lift.putOff.map(({ part }) => part)).toEqual(['fan-shroud']);
    expect(lift.putOff[0]?.minutes).toBeGreaterThan(4);
    const scene = legsOf(lift)[0]?.scene;
    const way = scene && toItsEnd(wayThrough(scene, COARSE));
    if (!way) throw new Error('It goes.');
    expect(toItsEnd(offersFor(lift, 0, way, () => undefined))).toEqual([
      expect.objectContaining({ part: 'fan-shroud', putOff: true, minutes: lift.putOff[0]?.minutes }),
    ]);
  });
});

describe('the way back', () => {
  it('is looked for with what has to be in before it, and is none of its own where nothing has', () => {
    const lift = liftFor(foldLedger(lengthwise, []));
    if (!lift) throw new Error('Nobody drew it.');
    expect([...lift.inFirst]).toEqual(['bulkhead-shield']);
    const search = findWay(lift, 0, () => undefined);
    let step = search.next();
    while (!step.done && !step.value.back) step = search.next();
    const { way, back } = step.value;
    if (!way || way === 'none' || !back || back === 'as out' || back.way === 'none') throw new Error('Both go.');
    expect(back.way.clearanceMm).toBeLessThanOrEqual(way.clearanceMm + 1);
    expect(back.moves.length).toBeGreaterThan(0);
    const still = (of: typeof lift) => legsOf(of)[0]?.still.map(({ id }) => id);
    expect(still(onTheWayBack(lift))).toContain('bulkhead-shield');
    expect(still(lift)).not.toContain('bulkhead-shield');
    expect(onTheWayBack({ ...lift, inFirst: new Set() }).off).toEqual(lift.off);
  });
});

describe('what is fitted before it is in', () => {
  const planned = planOf('utility-belt', 'engine', 'top');
  const out = foldLedger(planned, []);
  const doneSo = (...ids: readonly string[]) => ({
    ...out,
    progress: new Map(ids.map((id) => [id, { is: 'done', at: '', by: '' } as never])),
  });

  it('is early where nothing asks for it, and no way back was reckoned with it', () => {
    const early = doneSo('remove:deck-cover', 'fit:deck-cover');
    expect(fittedEarly(out)).toEqual([]);
    expect(fittedEarly(early)).toEqual(['deck-cover']);
    expect(liftFor(early)?.inFirst.has('deck-cover')).toBe(true);
  });

  it('is no more once the powerpack is in', () => {
    const lowers = [...out.work.operations.values()].filter(({ kind }) => kind === 'lower').map(({ id }) => id);
    expect(lowers.length).toBeGreaterThan(1);
    expect(fittedEarly(doneSo('fit:deck-cover', ...lowers))).toEqual([]);
  });
});

describe('the moves a lift may go by', () => {
  const pose = { xMm: 0, zMm: 0, tiltDeg: 0 };
  const way = (clearanceMm: number) => ({ poses: [pose], clearanceMm, onTheWayMm: clearanceMm, seatedMm: 20 });
  const move = { parts: [], from: pose, to: pose, clearanceMm: 20, watch: [] };
  const pushed = { yMm: 30, at: pose, before: [], after: [], meanwhileMm: 40, clearanceMm: 40, gainMm: 30 };
  const known: WayFound = { share: 1, fine: true, way: way(20), moves: [move], back: 'as out' };
  const other = { ...move, clearanceMm: 15 };

  it('are those of a way that is known, goes, and goes back', () => {
    expect(movesToGoBy(known, false)).toEqual({ moves: [move] });
    expect(movesToGoBy({ ...known, back: { way: way(15), moves: [other] } }, false)).toEqual({
      moves: [move],
      back: [other],
    });
  });

  it.each([
    ['a first answer', { fine: false }],
    ['one of which nobody knows how it comes back', { back: undefined }],
    ['one that does not come back', { back: { way: way(-5), moves: [other] } }],
    ['one that comes back nowhere', { back: { way: 'none', moves: [] } }],
    ['one that does not go', { way: way(-5) }],
    ['none', { way: 'none', moves: [] }],
  ])('are none for %s', (_which, change) => {
    expect(movesToGoBy({ ...known, ...change } as WayFound, false)).toBeUndefined();
  });

  it('are pushed aside only where that is known to help, and to come back as it went', () => {
    expect(movesToGoBy(known, true)).toBeUndefined();
    const aside = { ...pushed, moves: [other] };
    expect(movesToGoBy({ ...known, way: way(-5), aside }, true)).toEqual({ moves: [other] });
    expect(movesToGoBy({ ...known, aside, back: { way: way(15), moves: [other] } }, true)).toBeUndefined();
  });
});

describe('the way, told as it becomes known', () => {
  it('has a first answer, then the one to go by with its moves, then what helps', () => {
    const lift = liftFor(foldLedger(planOf('utility-belt', 'engine', 'top'), []));
    if (!lift) throw new Error('Nobody drew it.');
    const told: WayFound[] = [];
    const search = findWay(lift, 0, () => undefined);
    let step = search.next();
    for (; !step.done; step = search.next()) told.push(step.value);
    told.push(step.value);
    expect(told.map(({ share }) => share)).toEqual(
      [...told.map(({ share }) => share)].sort((one, other) => one - other),
    );
    expect(told.find(({ way }) => way !== undefined)?.fine).toBe(false);
    const last = told.at(-1);
    expect(last).toMatchObject({ share: 1, fine: true, offers: [] });
    expect(last?.moves.length).toBeGreaterThan(0);
  });

  it('is none where there is no such leg', () => {
    const lift = liftFor(foldLedger(lengthwise, []));
    if (!lift) throw new Error('Nobody drew it.');
    expect(findWay(lift, 7, () => undefined).next()).toMatchObject({ done: true, value: { way: 'none' } });
  });
});

describe('the rig of a leg', () => {
  const leg = () => {
    const lift = liftFor(foldLedger(lengthwise, []));
    const [first] = lift ? legsOf(lift) : [];
    if (!first) throw new Error('Nobody drew it.');
    return first;
  };
  const at = { overhangMm: 1_000, raisedMm: 350, gear: FIRST_GEAR };

  it('hangs above the centre of gravity, and its legs carry the weight between them', () => {
    const rig = rigOf(leg(), USUAL_PICKS, [], at);
    expect(rig.hook.x).toBe(rig.centre.x);
    const up = rig.legs.reduce(
      (sum, { tensionN, angleDeg }) => sum + tensionN * Math.sin((angleDeg * Math.PI) / 180),
      0,
    );
    expect(up / 9.80665).toBeCloseTo(rig.massKg, 6);
    expect(rig.hookMm.lowest).toBe(rig.picks[0].z + USUAL_PICKS.heightMm + 350);
  });

  it('asks for the turns of the steepest tilt and the height of the highest pose', () => {
    const poses = [
      { xMm: 100, zMm: 200, tiltDeg: 20 },
      { xMm: 300, zMm: 600, tiltDeg: 5 },
    ];
    const rig = rigOf(leg(), USUAL_PICKS, poses, at);
    expect(rig.steepestDeg).toBe(20);
    expect(rig.turns).toBeGreaterThan(20);
    expect(rig.hookMm.highest - rig.hookMm.lowest).toBe(600);
  });

  it('is refused with both picks to one side', () =>
    expect(() => rigOf(leg(), { ...USUAL_PICKS, rearShare: 0.95 }, [], at)).toThrow(RiggingError));
});
