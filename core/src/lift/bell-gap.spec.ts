import { usualMap } from '../layouts/index.js';
import { shapeToDraw } from '../layouts/shapes/index.js';
import { RiggingError } from '../rigging/index.js';
import { bellFaceMm, judgeBellGap } from './index.js';

const leveller = { id: 'l', name: 'L', leadMm: 4, travelMm: 300, ratedKg: 500 };
const judge = (topMm: number, bottomMm: number, leftMm: number, rightMm: number) =>
  judgeBellGap({ topMm, bottomMm, leftMm, rightMm }, 400, leveller, 380);

describe('the gap at the bell face', () => {
  it('is parallel where it is the same all round, within a millimetre', () => {
    expect(judge(12, 12.6, 11.7, 12.2).is).toBe('parallel');
    expect(judge(0.1, 0, 0.2, 0.1).is).toBe('home');
    expect(judge(12, 13.2, 12, 12).is).toBe('askew');
  });

  it('wider at the top: the far end goes up, by so many turns', () => {
    const { raiseDeg, swingDeg, turns } = judge(14, 7, 10, 10);
    expect(raiseDeg).toBeCloseTo((Math.atan(7 / 400) * 180) / Math.PI, 9);
    expect(swingDeg).toBe(0);
    expect(turns).toBeCloseTo((380 * 7) / 400 / 4, 6);
  });

  it('wider at the bottom it goes down, wider at the right to the right', () => {
    expect(judge(7, 14, 10, 10).raiseDeg).toBeLessThan(0);
    expect(judge(10, 10, 8, 12).swingDeg).toBeLessThan(0);
  });

  it.each([[-1], [Number.NaN], [900]])('a gap of %s is none', (mm) =>
    expect(() => judge(mm, 1, 1, 1)).toThrow(RiggingError),
  );

  it('is held against the face of this machine', () => {
    expect(bellFaceMm(shapeToDraw(usualMap('longitudinal-manual')))).toBeGreaterThan(250);
    const shape = shapeToDraw(usualMap('longitudinal-manual'));
    expect(bellFaceMm({ ...shape, parts: new Map() })).toBe(380);
  });
});
