import fc from 'fast-check';
import { byBruteForce, leaningSlot, slab, slot, step, type KnownScene } from '../testing/scenes.js';
import {
  COARSE,
  closely,
  FINE,
  SceneError,
  wayThrough,
  WIDE_MM,
  type Pose,
  type Scene,
  type WayThrough,
} from './index.js';

function found(scene: Scene, fineness = FINE): WayThrough {
  const search = wayThrough(scene, fineness);
  for (let step = search.next(); ; step = search.next()) {
    if (!step.done) continue;
    if (!step.value) throw new Error('There is no way at all.');
    return step.value;
  }
}

const { hypot } = Math;

/** The gap of two outlines by sampling their rims: slow, and sharing nothing with what it judges. */
function sampledGap(scene: Scene, pose: Pose): number {
  const rim = (outline: readonly { x: number; z: number }[]) =>
    outline.flatMap((one, index) => {
      const next = outline[(index + 1) % outline.length] ?? one;
      return Array.from({ length: 24 }, (_, at) => ({
        x: one.x + ((next.x - one.x) * at) / 24,
        z: one.z + ((next.z - one.z) * at) / 24,
      }));
    });
  const angle = (pose.tiltDeg * Math.PI) / 180;
  let least = Infinity;
  for (const { outline } of scene.moving) {
    const mine = outline.map(({ x, z }) => {
      const [dx, dz] = [x - scene.pivot.x, z - scene.pivot.z];
      return {
        x: scene.pivot.x + pose.xMm + dx * Math.cos(angle) - dz * Math.sin(angle),
        z: scene.pivot.z + pose.zMm + dx * Math.sin(angle) + dz * Math.cos(angle),
      };
    });
    for (const { outline: theirs } of scene.still)
      for (const one of rim(mine))
        for (const other of rim(theirs)) {
          const apart = hypot(one.x - other.x, one.z - other.z);
          if (apart < least) least = apart;
        }
  }
  return least;
}

type Four = readonly [number, number, number, number];
const slots: readonly Four[] = [
  [460, 400, 300, 0],
  [460, 400, 300, 37],
  [430, 400, 260, -61],
  [412, 400, 300, 20],
  [404, 400, 320, 15],
  [340, 250, 180, 90],
  [300, 290, 200, -33],
  [520, 401, 333, 8],
  [277, 251, 211, 55],
  [366, 300, 150, -70],
  [390, 400, 300, 10],
  [380, 400, 240, -20],
];
const leaning: readonly Four[] = [
  [360, 300, 260, 5],
  [340, 300, 260, 8],
  [330, 300, 240, -8],
  [324, 300, 280, 10],
  [350, 280, 200, -12],
  [318, 300, 260, 12],
  [330, 290, 300, 15],
  [400, 320, 280, -15],
  [316, 300, 220, 18],
  [345, 310, 250, -18],
];
const steps = [
  [300, 200, [360, 380], 260],
  [300, 200, [340, 400], 300],
  [260, 220, [330, 310], 260],
  [240, 160, [260, 330], 240],
  [280, 180, [400, 320], 210],
  [300, 240, [390, 390], 262],
  [220, 220, [300, 252], 300],
  [310, 170, [350, 420], 200],
  [250, 250, [290, 290], 291],
  [200, 150, [226, 260], 190],
] as const;
const known: readonly KnownScene[] = [
  ...slots.map((one) => slot(...one)),
  ...leaning.map((one) => leaningSlot(...one)),
  ...steps.map(([a, b, holes, height]) => step(a, b, holes, height)),
];

describe('the way of greatest smallest clearance', () => {
  it.each(known.map((one) => [one.name, one] as const))(
    '%s: what is known, to 2 mm, and never more',
    (_name, { scene, clearanceMm }) => {
      const way = found(scene);
      const wanted = Math.min(clearanceMm, WIDE_MM);
      expect(way.clearanceMm).toBeLessThanOrEqual(wanted + 1e-6);
      expect(way.clearanceMm).toBeGreaterThan(wanted - 2);
    },
  );

  it('finds what trying every place finds, among boxes standing about', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: -380, max: 300 }),
            fc.integer({ min: 330, max: 620 }),
            fc.integer({ min: 40, max: 180 }),
            fc.integer({ min: 40, max: 120 }),
          ),
          { minLength: 2, maxLength: 6 },
        ),
        (boxes) => {
          const scene: Scene = {
            moving: [slab('block', [-80, 80], [0, 120])],
            still: boxes.map(([x, z, w, h], index) => slab(`box ${index}`, [x, x + w], [z, z + h])),
            pivot: { x: 0, z: 60 },
            out: { exit: 'up', towards: 'nose' },
            tiltDeg: [0, 0],
            xMm: [-300, 300],
            zMm: [-20, 860],
          };
          const top = Math.max(...scene.still.flatMap(({ outline }) => outline.map(({ z }) => z)));
          const front = Math.max(...scene.still.flatMap(({ outline }) => outline.map(({ x }) => x)));
          const brute = byBruteForce(scene, 5, (x, z) => z >= top + 60 || x - 80 > front + 60);
          const mine = found(scene, { cellMm: 10, stepDeg: 1, finestMm: 1.25 }).clearanceMm;
          expect(mine).toBeGreaterThan(Math.min(brute, WIDE_MM - 2) - 4);
          expect(mine).toBeLessThanOrEqual(brute + 8);
        },
      ),
      { numRuns: 8, seed: 4711 },
    );
  });

  it('says no more than is true anywhere on the way, between its corners too', () => {
    for (const { scene } of [
      slot(430, 400, 260, -61),
      leaningSlot(340, 300, 260, 8),
      step(260, 220, [330, 310], 260),
    ]) {
      const way = found(scene, COARSE);
      for (const pose of closely(way.poses, 25, 300))
        expect(sampledGap(scene, pose)).toBeGreaterThan(way.clearanceMm - 1e-6);
    }
  });

  it('says by how much it does not go, and where', () => {
    const way = found(slot(390, 400, 300, 0).scene);
    expect(way.clearanceMm).toBeLessThan(-4.9);
    expect(way.clearanceMm).toBeGreaterThan(-7);
    expect(way.pinch?.mm).toBeLessThan(0);
    expect(['left', 'right']).toContain(way.pinch?.still.id);
  });

  it('does not take for a pinch what is as near where it sits', () => {
    const { scene } = slot(460, 400, 300, 0);
    const close = { ...scene, still: [...scene.still, slab('wall', [206, 240], [0, 300])] };
    const way = found(close);
    expect(way.seatedMm).toBeCloseTo(6, 6);
    expect(way.clearanceMm).toBeLessThanOrEqual(6);
    // Between the wall and the left of the slot there are 36 mm: half of them on either side.
    expect(way.pinch?.mm).toBeGreaterThan(16);
  });

  it('leaves nested pairs alone, and what does not reach to the same place across', () => {
    const { scene } = slot(390, 400, 300, 0);
    const nested = { ...scene, nested: new Set(['block left', 'block right']) };
    expect(found(nested).clearanceMm).toBe(WIDE_MM);
    const beside = { ...scene, still: scene.still.map((one) => ({ ...one, across: [10, 30] as const })) };
    expect(found(beside).clearanceMm).toBe(WIDE_MM);
  });

  it('finds no way where the gear does not reach far enough', () => {
    const { scene } = slot(460, 400, 300, 0);
    const search = wayThrough({ ...scene, zMm: [-40, 200] }, COARSE);
    let step = search.next();
    while (!step.done) step = search.next();
    expect(step.value).toBeUndefined();
  });

  it('refuses a scene with nothing on the hook, and one that is larger than any machine, in words', () => {
    const { scene } = slot(460, 400, 300, 0);
    const first = (of: Scene) => () => wayThrough(of, COARSE).next();
    expect(first({ ...scene, moving: [] })).toThrow(SceneError);
    const many = Array.from({ length: 600 }, (_, index) => slab(`box ${index}`, [500, 510], [0, 10]));
    expect(first({ ...scene, still: many })).toThrow('601 shapes are more than can be searched; 600 are the most.');
  });

  it('can be stopped between any two steps', () => {
    const search = wayThrough(leaningSlot(360, 300, 260, 5).scene, FINE);
    const shares = Array.from({ length: 5 }, () => search.next().value);
    expect(shares.every((share) => typeof share === 'number' && share > 0 && share < 1)).toBe(true);
    expect(search.return(undefined).done).toBe(true);
  });
});
