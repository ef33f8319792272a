import fc from 'fast-check';
import { compose, completed, TEMPLATES } from '../layouts/index.js';
import { drawnSize, positionsOf, readFastener, usualPattern } from './index.js';

function anyJoint() {
  const [template] = TEMPLATES;
  const [joint] = template ? compose(template, completed(template, {})).connections : [];
  if (!joint) throw new Error('There is no layout with a joint.');
  return joint;
}

describe('where the holes are', () => {
  const apart = ({ holes }: ReturnType<typeof positionsOf>) =>
    holes.map((hole, index) => {
      const next = holes[(index + 1) % holes.length] ?? hole;
      return Math.hypot(hole.xMm - next.xMm, hole.yMm - next.yMm);
    });

  it('puts a circle evenly round, from the top', () => {
    const circle = positionsOf('circle', [{ count: 6 }], 100, 100);
    expect(circle.holes[0]).toMatchObject({ xMm: 50, yMm: 0 });
    for (const distance of apart(circle)) expect(distance).toBeCloseTo(50, 0);
  });

  it('counts holes clockwise, on a circle, along an edge and over a bell housing', () => {
    const at = (...of: Parameters<typeof positionsOf>) => positionsOf(...of).holes.map(({ xMm, yMm }) => [xMm, yMm]);
    expect(at('circle', [{ count: 4 }], 100, 60)).toEqual([
      [50, 0],
      [100, 30],
      [50, 60],
      [0, 30],
    ]);
    expect(at('rectangle', [{ count: 8 }], 100, 100)).toEqual([
      [0, 0],
      [50, 0],
      [100, 0],
      [100, 50],
      [100, 100],
      [50, 100],
      [0, 100],
      [0, 50],
    ]);
    const arch = at('bell-housing', [{ count: 5 }], 200, 200);
    expect(arch[2]).toEqual([100, 0]);
    expect((arch[0]?.[0] ?? 0) < 100 && (arch[4]?.[0] ?? 0) > 100).toBe(true);
  });

  it('keeps every hole within the box, whatever the shape', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('circle', 'rectangle', 'bell-housing', 'line', 'free'),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 10, max: 400 }),
        fc.integer({ min: 10, max: 400 }),
        (shape, counts, width, height) => {
          const { holes } = positionsOf(
            shape as 'circle',
            counts.map((count) => ({ count })),
            width,
            height,
          );
          expect(holes).toHaveLength(counts.reduce((sum, count) => sum + count, 0));
          for (const { xMm, yMm, set } of holes) {
            expect(xMm).toBeGreaterThanOrEqual(-0.1);
            expect(xMm).toBeLessThanOrEqual(width + 0.1);
            expect(yMm).toBeGreaterThanOrEqual(-0.1);
            expect(yMm).toBeLessThanOrEqual(height + 0.1);
            expect(counts[set]).toBeDefined();
          }
          expect(new Set(holes.map(({ xMm, yMm }) => `${xMm} ${yMm}`)).size).toBe(holes.length);
        },
      ),
    );
  });

  it('leaves a bell housing open at the bottom', () => {
    const { holes } = positionsOf('bell-housing', [{ count: 7 }], 300, 300);
    for (const { xMm, yMm } of holes) expect(yMm > 295 && Math.abs(xMm - 150) < 60).toBe(false);
    expect(() => positionsOf('line', [{ count: 2 }], 0, 0)).toThrow(RangeError);
  });

  it('begins with a likely pattern for every joint of every layout', () => {
    for (const template of TEMPLATES)
      for (const connection of compose(template, completed(template, {})).connections)
        if (connection.fasteners.length > 0) {
          const { holes } = usualPattern(connection, connection.fasteners);
          expect(holes).toHaveLength(connection.fasteners.reduce((sum, { count }) => sum + count, 0));
        }
  });

  it('begins with a box for many bolts as with four, wider the thicker they are', () => {
    const joint = (count: number, what: string) => {
      const fasteners = [{ count, what }];
      return usualPattern({ ...anyJoint(), kind: 'bolted', name: 'The cover', fasteners }, fasteners);
    };
    expect([1, 2, 3, 4, 5, 8].map((count) => joint(count, 'M8×1.25 × 25').shape)).toEqual([
      'line',
      'line',
      'circle',
      'rectangle',
      'rectangle',
      'rectangle',
    ]);
    expect(joint(4, 'M8×1.25 × 25')).toMatchObject({ widthMm: 64, heightMm: 40 });
    expect(joint(6, 'M8×1.25 × 25')).toMatchObject({ widthMm: 80, heightMm: 40 });
    expect(joint(4, 'M12×1.75 × 25')).toMatchObject({ widthMm: 96, heightMm: 60 });
    expect(joint(4, 'M4 nut')).toMatchObject({ widthMm: 48, heightMm: 30 });
  });

  it('draws heads at their size across flats', () => {
    expect(drawnSize(readFastener('M8×1.25 × 25, 13 mm'))).toMatchObject({
      shankMm: 8,
      lengthMm: 25,
      headAcrossMm: 13,
    });
    expect(drawnSize(readFastener('M8×1.25 × 25, 13 mm flange')).headAcrossMm).toBeCloseTo(16.9, 1);
  });
});
