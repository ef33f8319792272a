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

  it('is on target to the very edge of its window, whatever a decimal is in binary', () => {
    const at = (value: number, targetNm = 24) => judgeTorque(targetNm, { value, unit: 'N·m' }, wrench('three-eighths'));
    expect([at(24 * 0.96), at(24 * 1.04), at(23.04), at(24.96)]).toEqual(['within', 'within', 'within', 'within']);
    expect([at(23.04 - 1e-6), at(24.96 + 1e-6)]).toEqual(['under', 'over']);
  });

  it('is trusted from the higher of a fifth of full scale and what is printed, to full scale', () => {
    expect(wrenchTrusted({ lowestNm: 10, highestNm: 100 }, 20)).toBe(true);
    expect(wrenchTrusted({ lowestNm: 10, highestNm: 100 }, 19.9)).toBe(false);
    expect(wrenchTrusted({ lowestNm: 40, highestNm: 100 }, 39)).toBe(false);
    expect(wrenchTrusted({ lowestNm: 10, highestNm: 100 }, 100)).toBe(true);
    expect(wrenchTrusted({ lowestNm: 10, highestNm: 100 }, 100.1)).toBe(false);
  });

  it('proposes the smallest, in whatever order they hang on the wall', () => {
    const wall = [...FIRST_WRENCHES].reverse();
    expect(wrenchFor(75, wall)?.id).toBe('three-eighths');
    expect(wrenchFor(75, [...wall.slice(2), ...wall.slice(0, 2)])?.id).toBe('three-eighths');
    for (const { name, lowestNm, highestNm } of FIRST_WRENCHES) expect(name).toContain(`${lowestNm}–${highestNm} N·m`);
  });

  it('proposes the smallest wrench that can be trusted', () => {
    expect(wrenchFor(9)?.id).toBe('quarter');
    expect(wrenchFor(75)?.id).toBe('three-eighths');
    expect(wrenchFor(4)?.id).toBe('screwdriver');
    expect(wrenchFor(900)).toBeUndefined();
  });
});
