import { slab } from '../testing/scenes.js';
import { COARSE, pushedAside, wayThrough, type Body, type Scene } from './index.js';

const ended = <Value>(search: Generator<unknown, Value>): Value => {
  for (let step = search.next(); ; step = search.next()) if (step.done) return step.value;
};
const wide = (body: Body, across: readonly [number, number]): Body => ({ ...body, across });

/** A load under a bracket that reaches `overMm` over its left rim, with walls so near that there is only up. */
const under = (overMm: number, more: readonly Body[] = []): Scene => ({
  moving: [wide(slab('engine', [-200, 200], [0, 300]), [-100, 100])],
  still: [
    wide(slab('bracket', [-400, 400], [420, 460]), [100 - overMm, 300]),
    wide(slab('front wall', [260, 300], [0, 600]), [-400, 400]),
    wide(slab('rear wall', [-300, -260], [0, 600]), [-400, 400]),
    ...more,
  ],
  pivot: { x: 0, z: 150 },
  out: { exit: 'up', towards: 'nose' },
  tiltDeg: [-10, 10],
  xMm: [-50, 50],
  zMm: [0, 800],
});
const pushed = (scene: Scene) => {
  const way = ended(wayThrough(scene, COARSE));
  return { way, aside: way && ended(pushedAside(scene, way)) };
};

describe('pushed aside', () => {
  it('passes what reaches over its rim, pushed just past it once it is off its seat', () => {
    const { way, aside } = pushed(under(30));
    expect(way?.clearanceMm).toBeLessThan(0);
    expect(aside?.yMm).toBe(-40);
    expect(aside?.at.zMm).toBeGreaterThanOrEqual(20);
    expect(aside?.at.zMm).toBeLessThan(120);
    expect(aside?.clearanceMm).toBeGreaterThan(30);
    expect(aside?.clearanceMm).toBeLessThanOrEqual(50);
  });

  it('is nothing where it would have to be pushed too far, or where nothing is narrow', () => {
    expect(pushed(under(90)).aside).toBeUndefined();
    const roomy = { ...under(30), still: [wide(slab('bracket', [-400, 400], [420, 460]), [150, 300])] };
    expect(pushed(roomy).aside).toBeUndefined();
  });

  it('is nothing where things are in each other where it sits: no push mends that', () => {
    const stuck = wide(slab('bolt', [-200, 200], [-20, 8]), [-50, 50]);
    const { way, aside } = pushed(under(30, [stuck]));
    expect(way?.clearanceMm).toBeLessThan(0);
    expect(aside).toBeUndefined();
  });

  it('is nothing where something stands beside it on the other side', () => {
    const tower = wide(slab('tower', [-400, 400], [0, 600]), [-160, -110]);
    expect(pushed(under(30, [tower])).aside).toBeUndefined();
  });
});
