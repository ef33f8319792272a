import { foldLedger } from '../ledger/index.js';
import { compose, templateOf } from '../layouts/index.js';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { FIRST_GEAR, RiggingError } from '../rigging/index.js';
import {
  findWay,
  legsOf,
  liftFor,
  minutesToTakeOff,
  onTheWayBack,
  rigOf,
  USUAL_PICKS,
  withoutPart,
  type WayFound,
} from './index.js';

const planOf = (layout: string, powerpack: string, route: string): JobPlan => ({
  map: compose(templateOf(layout)),
  powerpack,
  route,
  rules: RULES_NOW,
});
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
    const search = findWay(lift, 0, () => undefined);
    let step = search.next();
    while (!step.done) step = search.next();
    expect(step.value.offers).toEqual([
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
    if (!way || way === 'none' || !back || back.way === 'none') throw new Error('Both go.');
    expect(back.way.clearanceMm).toBeLessThanOrEqual(way.clearanceMm + 1);
    expect(back.moves.length).toBeGreaterThan(0);
    const still = (of: typeof lift) => legsOf(of)[0]?.still.map(({ id }) => id);
    expect(still(onTheWayBack(lift))).toContain('bulkhead-shield');
    expect(still(lift)).not.toContain('bulkhead-shield');
    expect(onTheWayBack({ ...lift, inFirst: new Set() }).off).toEqual(lift.off);
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
