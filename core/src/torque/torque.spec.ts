import { judgeTorque, FIRST_WRENCHES, torqueWindow, wrenchFor, wrenchTrusted, type TorqueWrench } from './index.js';

const wrench = (id: string) => FIRST_WRENCHES.find((one) => one.id === id) as TorqueWrench;

describe('reading a torque', () => {
  it('takes 4 % either way, 6 % at or below 10 N·m', () => {
    expect(torqueWindow(75)).toEqual({ lowNm: 72, highNm: 78 });
    expect(torqueWindow(10).lowNm).toBeCloseTo(9.4);
  });

  it.each([
    [75, 72, 'within'],
    [75, 71.9, 'under'],
    [75, 78, 'within'],
    [75, 78.1, 'over'],
  ] as const)('of %d N·m at %d is %s', (target, value, verdict) => {
    expect(judgeTorque(target, { value, unit: 'N·m' }, wrench('half'))).toBe(verdict);
  });

  it('is compared in one unit whatever it was read in', () => {
    expect(judgeTorque(75, { value: 55.3, unit: 'lbf·ft' }, wrench('half'))).toBe('within');
    expect(judgeTorque(75, { value: 75, unit: 'lbf·ft' }, wrench('half'))).toBe('over');
  });

  it('is not trusted from a wrench below a fifth of its scale', () => {
    expect(wrenchTrusted(wrench('half'), 60)).toBe(false);
    expect(judgeTorque(22, { value: 22, unit: 'N·m' }, wrench('half'))).toBe('tool-out-of-range');
  });

  it('proposes the smallest wrench that can be trusted', () => {
    expect(wrenchFor(9)?.id).toBe('quarter');
    expect(wrenchFor(75)?.id).toBe('three-eighths');
    expect(wrenchFor(4)?.id).toBe('screwdriver');
    expect(wrenchFor(900)).toBeUndefined();
  });
});
