import fc from 'fast-check';
import { compose, completed, TEMPLATES } from '../layouts/index.js';
import { commonestSet, drawnSize, positionsOf, readFastener, usualPattern } from './index.js';

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

  it('draws what nobody measured as such a thread has it as a rule', () => {
    expect(drawnSize(readFastener('M10×1.5'))).toEqual({
      shankMm: 10,
      lengthMm: 0,
      headAcrossMm: 16,
      headHighMm: 6.5,
    });
    expect(drawnSize(readFastener('M6×1.0 × 25, T30')).headAcrossMm).toBeCloseTo(9.6, 9);
    expect(drawnSize(readFastener('push clip')).shankMm).toBe(6);
    expect(drawnSize({ ...readFastener('M8×1.25'), drive: 'hex' }).headAcrossMm).toBeCloseTo(12.8, 9);
  });

  it('begins with what a joint is called and does', () => {
    const shapeOf = (count: number, more: Partial<ReturnType<typeof anyJoint>>) => {
      const fasteners = [{ count, what: 'M8×1.25 × 25' }];
      const { shape, widthMm, heightMm } = usualPattern(
        { ...anyJoint(), kind: 'bolted', name: 'The cover', carriesLoad: false, ...more },
        fasteners,
      );
      return [shape, widthMm, heightMm];
    };
    expect(shapeOf(4, { name: 'the bell housing' })).toEqual(['bell-housing', 340, 320]);
    expect(shapeOf(3, { name: 'the bell housing' })[0]).toBe('circle');
    expect(shapeOf(3, { kind: 'shaft' })).toEqual(['circle', 90, 90]);
    expect(shapeOf(2, { kind: 'shaft' })[0]).toBe('line');
    expect(shapeOf(6, { name: 'the drive plate' })).toEqual(['circle', 90, 90]);
    expect(shapeOf(2, { name: 'the Flange' })).toEqual(['line', 40, 0]);
    expect(shapeOf(3, { carriesLoad: true })).toEqual(['line', 80, 0]);
    expect(shapeOf(3, {})).toEqual(['circle', 80, 80]);
    expect(shapeOf(1, {})).toEqual(['line', 1, 0]);
  });

  it('lays free holes in rows, a single one in the middle of its line, and none where there is none', () => {
    const at = (...of: Parameters<typeof positionsOf>) => positionsOf(...of).holes.map(({ xMm, yMm }) => [xMm, yMm]);
    expect(at('free', [{ count: 6 }], 120, 80)).toEqual([
      [20, 20],
      [60, 20],
      [100, 20],
      [20, 60],
      [60, 60],
      [100, 60],
    ]);
    expect(at('free', [{ count: 2 }], 100, 0)).toEqual([
      [25, 0],
      [75, 0],
    ]);
    expect(at('line', [{ count: 1 }], 100, 20)).toEqual([[50, 10]]);
    expect(at('line', [{ count: 3 }], 100, 20)).toEqual([
      [0, 10],
      [50, 10],
      [100, 10],
    ]);
    expect(at('bell-housing', [{ count: 1 }], 100, 100)).toEqual([[50, 0]]);
    expect(at('rectangle', [], 100, 100)).toEqual([]);
    expect(() => positionsOf('line', [{ count: 2 }], 10, -1)).toThrow('A bolt pattern needs a width.');
    expect(() => positionsOf('line', [{ count: 2 }], Number.NaN, 10)).toThrow(RangeError);
  });

  it('goes round the edge of a long box by its true length', () => {
    const { holes } = positionsOf('rectangle', [{ count: 6 }], 40, 20);
    expect(holes.map(({ xMm, yMm }) => [xMm, yMm])).toEqual([
      [0, 0],
      [20, 0],
      [40, 0],
      [40, 20],
      [20, 20],
      [0, 20],
    ]);
  });

  it('knows which kind most holes take', () => {
    const of = (...sets: readonly number[]) => commonestSet({ holes: sets.map((set) => ({ xMm: 0, yMm: 0, set })) });
    expect([of(), of(2), of(0, 1, 1), of(1, 0, 0, 1, 1), of(0, 1)]).toEqual([0, 2, 1, 1, 0]);
  });
});
