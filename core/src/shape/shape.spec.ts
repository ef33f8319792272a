import fc from 'fast-check';
import { turn, type Point } from './solid.js';
import {
  areaOf,
  block,
  box,
  depthOf,
  drum,
  end,
  gapBetween,
  hard,
  hullOf,
  machineShape,
  middleOf,
  minkowskiDifference,
  planesOf,
  profile,
  ShapeError,
  side,
  spreadBetween,
  type LayoutShape,
  type PartShape,
} from './index.js';

const layout = (parts: Readonly<Record<string, PartShape>>, more: Partial<LayoutShape> = {}): LayoutShape => ({
  pulleyTo: 'nose',
  coldTo: 'left',
  planes: {
    'front-axle': ['origin', 0],
    middle: ['origin', 0],
    ground: ['origin', 0],
    nose: ['front-axle', 700],
    'tail-end': ['front-axle', -3_000],
    bulkhead: ['front-axle', -360],
    bell: ['bulkhead', 20],
    pulley: ['bell', 500],
    tail: ['bell', -600],
    centre: ['middle', 0],
    cold: ['centre', 160],
    hot: ['centre', -160],
    crank: ['ground', 440],
    top: ['crank', 400],
  },
  parts,
  bay: [
    {
      id: 'bulkhead',
      name: 'bulkhead',
      solids: [box(['bulkhead-40', 'bulkhead'], ['middle-600', 'middle+600'], ['ground+500', 'ground+900'])],
    },
  ],
  weight: { massKg: 1_500, frontShare: 0.55 },
  ways: {},
  ...more,
});
const engine = { id: 'engine', name: 'engine', zone: 'bay-top', massKg: 180 };
const shapes = {
  engine: hard(block(['bell', 'pulley'], ['hot', 'cold'], ['crank-60', 'top'])),
  alternator: hard(
    block(['bell>pulley*0.5', 'bell>pulley*0.5+100'], ['cold+5', 'cold+125'], ['crank+100', 'crank+200']),
  ),
};
const across: Partial<LayoutShape> = {
  pulleyTo: 'right',
  coldTo: 'nose',
  planes: {
    ...layout({}).planes,
    bell: ['middle', -40],
    centre: ['front-axle', 100],
  },
};

const next = (outline: readonly Point[], index: number) => outline[index % outline.length] as Point;
const isConvex = (outline: readonly Point[]) =>
  outline.length >= 3 &&
  outline.every((one, index) => turn(one, next(outline, index + 1), next(outline, index + 2)) > 0);

/** How far the origin is from a convex outline, by its edges; below zero within it. */
function fromOrigin(outline: readonly Point[]): number {
  let outside = -Infinity;
  let nearest = Infinity;
  outline.forEach((one, index) => {
    const to = next(outline, index + 1);
    const [ex, ez] = [to.x - one.x, to.z - one.z];
    const length = Math.hypot(ex, ez);
    if (length === 0) return;
    outside = Math.max(outside, (one.z * ex - one.x * ez) / length);
    const share = Math.min(1, Math.max(0, -(one.x * ex + one.z * ez) / length ** 2));
    nearest = Math.min(nearest, Math.hypot(one.x + share * ex, one.z + share * ez));
  });
  return outside > 0 ? nearest : outside;
}

describe('an outline', () => {
  it('is the hull of its corners, anticlockwise, and has an area and a middle', () => {
    const outline = hullOf([
      { x: 0, z: 0 },
      { x: 10, z: 20 },
      { x: 10, z: 0 },
      { x: 0, z: 20 },
      { x: 5, z: 5 },
      { x: 5, z: 0 },
    ]);
    expect(outline).toHaveLength(4);
    expect(isConvex(outline)).toBe(true);
    expect(areaOf(outline)).toEqual({ mm2: 200, middle: { x: 5, z: 10 } });
  });

  const convex = fc
    .array(fc.record({ x: fc.integer({ min: -200, max: 200 }), z: fc.integer({ min: -200, max: 200 }) }), {
      minLength: 3,
      maxLength: 9,
    })
    .map(hullOf)
    .filter((outline) => outline.length >= 3);

  it('touches another exactly where the difference of both says', () => {
    fc.assert(
      fc.property(
        convex,
        convex,
        fc.integer({ min: -500, max: 500 }),
        fc.integer({ min: -500, max: 500 }),
        (one, other, x, z) => {
          const moved = other.map((point) => ({ x: point.x + x, z: point.z + z }));
          const gap = gapBetween(one, moved);
          expect(isConvex(hullOf(minkowskiDifference(one, other)))).toBe(true);
          expect(gapBetween(moved, one)).toBeCloseTo(gap, 6);
          expect(gap).toBeCloseTo(fromOrigin(minkowskiDifference(one, moved)), 6);
          const corners = Math.min(...one.flatMap((a) => moved.map((b) => Math.hypot(a.x - b.x, a.z - b.z))));
          expect(gap).toBeLessThanOrEqual(corners + 1e-9);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('is as far from another as a tape says', () => {
    const square = (x: number, z: number) =>
      hullOf([0, 10].flatMap((a) => [0, 10].map((b) => ({ x: x + a, z: z + b }))));
    expect(gapBetween(square(0, 0), square(25, 0))).toBeCloseTo(15, 9);
    expect(gapBetween(square(0, 0), square(13, 14))).toBeCloseTo(5, 9);
    expect(gapBetween(square(0, 0), square(7, 2))).toBeCloseTo(-3, 9);
  });

  it('is in another only as far as both are across as well', () => {
    const outline = hullOf([0, 10].flatMap((x) => [0, 10].map((z) => ({ x, z }))));
    const solid = (from: number, to: number) => ({ outline, across: [from, to] as const });
    expect(depthOf(solid(0, 10), solid(8, 20))).toBe(2);
    expect(depthOf(solid(0, 10), solid(15, 20))).toBe(-5);
  });
});

describe('a machine', () => {
  it('has its parts where its planes are, lengthwise and across', () => {
    const along = machineShape(layout(shapes), [engine]).parts.get('engine');
    expect(along?.extent).toEqual({ x: [-340, 160], y: [-160, 160], z: [380, 840] });
    const turned = machineShape(layout(shapes, across), [engine]).parts.get('engine');
    expect(turned?.extent).toEqual({ x: [-60, 260], y: [-460, 40], z: [380, 840] });
    expect(turned?.middle.y).toBeCloseTo(-210, 6);
  });

  it('is stretched by a tape: what hangs on the plane follows, and what is between two as well', () => {
    const alternator = { id: 'alternator', name: 'alternator', zone: 'bay-left', massKg: 7 };
    const at = (measured: object) =>
      machineShape(layout(shapes), [engine, alternator], measured).parts.get('alternator')?.extent.x;
    expect(at({})).toEqual([-90, 10]);
    expect(at({ pulley: 600 })).toEqual([-40, 60]);
    expect(at({ bulkhead: 400 })).toEqual([-130, -30]);
  });

  it('tells which measurement turns a part inside out', () => {
    const upset = () =>
      machineShape(layout(shapes), [{ ...engine, id: 'alternator', name: 'alternator' }, engine], { top: 0.5 });
    expect(upset).not.toThrow();
    const flat = () =>
      machineShape(
        layout({ engine: hard(block(['bell', 'pulley-450'], ['hot', 'cold'], ['crank', 'top'])) }),
        [engine],
        { pulley: 440 },
      );
    expect(flat).toThrow(ShapeError);
    expect(flat).toThrow('440 mm to the front of the crank pulley would turn the engine inside out: measure it again.');
  });

  it('has a shape of an engine that lies across that is nowhere smaller than it is', () => {
    const slanted = {
      engine: hard(
        side(
          [
            ['bell', 'crank'],
            ['pulley', 'crank+100'],
            ['pulley', 'top'],
            ['bell', 'top'],
          ],
          ['hot', 'cold'],
        ),
      ),
    };
    const solids = machineShape(layout(slanted, across), [engine]).parts.get('engine')?.solids ?? [];
    expect(solids).toHaveLength(3);
    // At a share of its length the slant is as high; no strip begins above that.
    for (const {
      across: [from, to],
      outline,
    } of solids) {
      const lowest = Math.min(...outline.map(({ z }) => z));
      const nearBell = (40 - to) / 500;
      expect(lowest).toBeCloseTo(440 + 100 * nearBell, 6);
      expect(to - from).toBeCloseTo(500 / 3, 6);
    }
  });

  it('has round things round: an octagon about them across, three slabs along', () => {
    const pulley = { engine: hard(drum(['pulley-40', 'pulley'], 'centre', 'crank', 100)) };
    const [octagon] = machineShape(layout(pulley, across), [engine]).parts.get('engine')?.solids ?? [];
    expect(octagon?.outline).toHaveLength(8);
    const slabs = machineShape(layout(pulley), [engine]).parts.get('engine')?.solids ?? [];
    expect(slabs).toHaveLength(3);
    for (const {
      across: [from, to],
      outline,
    } of slabs) {
      const inner = Math.min(Math.abs(from), Math.abs(to), from < 0 && to > 0 ? 0 : Infinity);
      expect(Math.max(...outline.map(({ z }) => z - 440))).toBeGreaterThanOrEqual(
        Math.sqrt(100 ** 2 - inner ** 2) - 1e-9,
      );
    }
  });

  it('draws a part nobody knows beside the engine, and says so', () => {
    const unknown = { id: 'snorkel', name: 'snorkel', zone: 'bay-left' };
    const part = machineShape(layout(shapes), [engine, unknown]).parts.get('snorkel');
    expect(part).toMatchObject({ guessed: true, soft: true });
    expect(part?.extent.y[0]).toBeGreaterThan(160);
  });

  it('asks for more room between what hangs on planes nobody measured', () => {
    const spread = (measured: object) => {
      const shape = machineShape(layout(shapes), [engine], measured);
      const [wall] = shape.bay;
      const part = shape.parts.get('engine');
      return part && wall ? spreadBetween(shape, part, wall) : 0;
    };
    // Bell, pulley, crank and top: four planes the bulkhead does not hang on.
    expect(spread({})).toBeCloseTo(30, 6);
    expect(spread({ pulley: 500, crank: 440, top: 400 })).toBeCloseTo(15, 6);
    expect(spread({ pulley: 500, crank: 440, top: 400, bell: 20 })).toBe(0);
  });

  it('says what is wrong with its planes and outlines', () => {
    expect(() => planesOf(layout({}, { planes: { bell: ['bulkhead', 10] } }))).toThrow(
      'Nothing says where the bulkhead is.',
    );
    expect(() => planesOf(layout({}, { planes: { bell: ['pulley', 10], pulley: ['bell', 10] } }))).toThrow(
      'placed from itself',
    );
    expect(() => planesOf(layout({}, { planes: { ground: ['origin', 0], bell: ['ground', 10] } }))).toThrow(
      'cannot be placed from',
    );
    const shaped = (part: PartShape) => () => machineShape(layout({ engine: part }), [engine]);
    expect(shaped(hard(box(['bell', 'pulley'], ['bell', 'pulley'], ['crank', 'top'])))).toThrow('not measured along y');
    expect(
      shaped(
        hard(
          profile(
            [
              ['bell', 'crank'],
              ['pulley', 'crank'],
              ['bell+100', 'crank+10'],
              ['bell', 'top'],
            ],
            ['hot', 'cold'],
          ),
        ),
      ),
    ).toThrow('not convex');
    expect(
      shaped(
        hard(
          end(
            [
              ['hot', 'crank'],
              ['hot', 'crank'],
              ['hot', 'crank'],
            ],
            ['bell', 'pulley'],
          ),
        ),
      ),
    ).toThrow(ShapeError);
  });

  it('has its middle by area and width', () => {
    const { parts } = machineShape(
      layout({
        engine: hard(
          block(['bell', 'bell+100'], ['hot', 'cold'], ['crank', 'crank+100']),
          block(['bell+100', 'bell+200'], ['hot', 'cold'], ['crank', 'crank+300']),
        ),
      }),
      [engine],
    );
    const middle = middleOf(parts.get('engine')?.solids ?? []);
    expect(middle.x).toBeCloseTo(-340 + (100 * 50 + 300 * 150) / 400, 6);
    expect(middle.z).toBeCloseTo(440 + (100 * 50 + 300 * 150) / 400, 6);
  });
});
