import { COARSE, wayThrough } from '../clearance/index.js';
import { compose, templateOf } from '../layouts/index.js';
import { RULES_NOW } from '../connection-map/index.js';
import { foldLedger } from '../ledger/index.js';
import { goesThrough, legsOf, liftFor, measuresOf, poseWords, seatedInEachOther, verdictOf } from './index.js';

const plan = { map: compose(templateOf('transverse-cradle')), powerpack: 'cradle', route: 'under', rules: RULES_NOW };

function looked(measured: Readonly<Record<string, number>>) {
  const state = foldLedger(plan, []);
  const lift = liftFor({ ...state, measured: new Map(Object.entries(measured)) as typeof state.measured });
  const [leg] = lift ? legsOf(lift) : [];
  if (!lift || !leg) throw new Error('Nobody drew it.');
  const search = wayThrough(leg.scene, COARSE);
  let step = search.next();
  while (!step.done) step = search.next();
  if (!step.value) throw new Error('There is no way.');
  return { lift, leg, way: step.value };
}

describe('what a way comes to', () => {
  it('is the room once it has left its seat, and how much nearer the pinch may be', () => {
    const { lift, leg, way } = looked({});
    const verdict = verdictOf(lift, leg, way);
    expect(verdict.goes).toBe(true);
    expect(verdict.mm).toBe(way.onTheWayMm);
    expect(verdict.mm).toBeGreaterThan(way.seatedMm);
    expect(verdict.unsureMm).toBeGreaterThan(15);
    // What is said is never more than there is at the narrowest place that was looked at.
    expect(verdict.mm).toBeLessThanOrEqual((way.pinch?.mm ?? Infinity) + 1e-6);
  });

  it('is how much too tight it is where by the measures two things are in each other as they sit', () => {
    const { lift, leg, way } = looked({ radiator: 200 });
    expect(verdictOf(lift, leg, way)).toMatchObject({ goes: false });
    expect(verdictOf(lift, leg, way).mm).toBeGreaterThan(20);
    expect(seatedInEachOther(leg)?.mm).toBeLessThan(-20);
    expect(seatedInEachOther(looked({}).leg)).toBeUndefined();
  });

  it('goes where things only touch as they are drawn', () => {
    const { way } = looked({});
    expect(goesThrough({ ...way, clearanceMm: -0.05 })).toBe(true);
    expect(goesThrough({ ...way, clearanceMm: -0.2 })).toBe(false);
  });

  it('asks first for the measures the pinch hangs on, and shows all that were taken', () => {
    const { lift, way } = looked({ 'rear-axle': 2_540 });
    const measures = measuresOf(lift.shape, way.pinch);
    expect(measures[0]?.matters).toBe(true);
    expect(measures.find(({ plane }) => plane === 'rear-axle')).toMatchObject({ usualMm: 2_560, measuredMm: 2_540 });
    expect(measuresOf(lift.shape, undefined).every(({ matters }) => !matters)).toBe(true);
  });

  it.each([
    [{ xMm: 0, zMm: 0, tiltDeg: 0 }, 'level'],
    [{ xMm: 140, zMm: 60, tiltDeg: 25 }, '60 mm up, 140 mm to the nose, tail 25° down'],
    [{ xMm: -20, zMm: -300, tiltDeg: -3 }, '300 mm down, 20 mm to the tail, nose 3° down'],
  ])('says where a pose is: %o', (pose, words) => expect(poseWords(pose)).toBe(words));
});
