import { COARSE, Gaps, pushedAside, pushedFrom, wayThrough, type Body, type Scene } from '../clearance/index.js';
import { slab } from '../testing/scenes.js';
import { movesPushedAside, saysPush, wayBack } from './index.js';

const wide = (body: Body, across: readonly [number, number]): Body => ({ ...body, across });
const scene: Scene = {
  moving: [wide(slab('engine', [-200, 200], [0, 300]), [-100, 100])],
  still: [
    wide(slab('bracket', [-400, 400], [420, 460]), [70, 300]),
    wide(slab('front wall', [260, 300], [0, 600]), [-400, 400]),
    wide(slab('rear wall', [-300, -260], [0, 600]), [-400, 400]),
  ],
  pivot: { x: 0, z: 150 },
  out: { exit: 'up', towards: 'nose' },
  tiltDeg: [-10, 10],
  xMm: [-50, 50],
  zMm: [0, 800],
};
const ended = <Value>(search: Generator<unknown, Value>): Value => {
  for (let step = search.next(); ; step = search.next()) if (step.done) return step.value;
};

describe('the moves of a load that is pushed aside', () => {
  const way = ended(wayThrough(scene, COARSE));
  const aside = way && ended(pushedAside(scene, way));
  if (!aside) throw new Error('It passes when it is pushed.');
  const moves = movesPushedAside(scene, aside);
  const push = moves.findIndex(({ parts }) => parts[0]?.kind === 'right');

  it('are those until there, the push, and those from there, each beginning where the last ended', () => {
    expect(moves[0]?.from).toEqual({ xMm: 0, zMm: 0, tiltDeg: 0 });
    expect(push).toBeGreaterThan(0);
    expect(moves[push]?.parts).toEqual([{ kind: 'right', amount: 40 }]);
    for (const [index, move] of moves.slice(1).entries()) {
      const before = moves[index]?.to;
      expect(Math.abs(move.from.zMm - (before?.zMm ?? Infinity))).toBeLessThan(9);
      expect(Math.abs(move.from.xMm - (before?.xMm ?? Infinity))).toBeLessThan(9);
    }
  });

  it('keep the room that was promised, after the push too', () => {
    const after = new Gaps(pushedFrom(scene, { xMm: 0, zMm: 0, tiltDeg: 0 }, aside.yMm));
    for (const { from, to } of moves.slice(push + 1))
      expect(after.along(from, to, -Infinity, 50)).toBeGreaterThanOrEqual(aside.clearanceMm - 3);
    for (const { clearanceMm } of moves) expect(clearanceMm).toBeGreaterThanOrEqual(aside.clearanceMm - 3);
  });

  it('are pushed the other way on the way back', () => {
    expect(wayBack(moves).flatMap(({ parts }) => parts.map(({ kind }) => kind))).toContain('left');
    expect([{ title: 'Push it to the left 40 mm' }, { title: 'Raise 40 mm' }].map(saysPush)).toEqual([true, false]);
  });
});
