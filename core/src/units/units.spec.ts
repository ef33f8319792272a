import { torqueFromNm, torqueToNm, TORQUE_UNITS } from './index.js';

describe('torque units', () => {
  it.each([
    [1, 'lbf·ft', 1.3558179483],
    [1, 'lbf·in', 0.112984829],
    [1, 'kgf·m', 9.80665],
    [75, 'N·m', 75],
  ] as const)('%d %s is %d N·m', (value, unit, newtonMetres) => {
    expect(torqueToNm({ value, unit })).toBeCloseTo(newtonMetres, 9);
  });

  it('come back the same from every unit', () => {
    for (const unit of TORQUE_UNITS) expect(torqueToNm({ value: torqueFromNm(48, unit), unit })).toBeCloseTo(48, 9);
  });
});
