import { closely, COARSE, FINE, Gaps, SEATED, wayThrough, WIDE_MM, type WayThrough } from '../clearance/index.js';
import { lumpOf, RULES_NOW } from '../connection-map/index.js';
import { compose, templateOf } from '../layouts/index.js';
import { shapeOf } from '../layouts/shapes/index.js';
import { slot } from '../testing/scenes.js';
import { workOf } from '../work/index.js';
import { FIRST_GEAR } from '../rigging/index.js';
import { legsOf, moveWords, movesAlong, offersFor, wayBack, type LiftOf, type Move } from './index.js';

function liftOf(layout: string, powerpack: string, route: string, measured = {}): LiftOf {
  const map = compose(templateOf(layout));
  const shape = shapeOf(map, measured);
  if (!shape) throw new Error('Nobody drew it.');
  const work = workOf({ map, powerpack, route, rules: RULES_NOW });
  const off = new Set(
    [...work.operations.values()].flatMap(({ kind, part }) =>
      kind === 'remove' && part !== undefined ? [...lumpOf(map, [part])] : [],
    ),
  );
  return {
    map,
    lump: work.lump,
    route,
    off,
    shape,
    raisedMm: 350,
    fluids: [],
    putOff: [],
    inFirst: new Set(),
    gear: FIRST_GEAR,
  };
}

function ended<Result>(search: Generator<number, Result>): Result {
  for (let step = search.next(); ; step = search.next()) if (step.done) return step.value;
}

function wayOf(lift: LiftOf, fineness = COARSE): WayThrough {
  const scene = legsOf(lift)[0]?.scene;
  const way = scene && ended(wayThrough(scene, fineness));
  if (!way) throw new Error('There is no way.');
  return way;
}

describe('what hangs on the hook', () => {
  it('is the powerpack less what is off it; what is bolted to nothing else is swung aside', () => {
    const lift = liftOf('longitudinal-automatic', 'engine-with-gearbox', 'top');
    const [leg] = legsOf(lift);
    const moving = leg?.moving.map(({ id }) => id) ?? [];
    expect(moving).toEqual(expect.arrayContaining(['engine', 'gearbox', 'converter']));
    const still = leg?.still.map(({ id }) => id) ?? [];
    expect(still).toEqual(expect.arrayContaining(['cowl', 'tunnel', 'condenser', 'battery']));
    for (const gone of ['radiator', 'slam-panel', 'bonnet', 'steering-pump', 'engine', 'loom'])
      expect(still).not.toContain(gone);
    expect(leg?.massKg).toBeCloseTo(leg?.moving.reduce((sum, { massKg }) => sum + massKg, 0) ?? 0, 6);
  });

  it('goes in two legs where it is split: the gearbox drawn off and down, then the engine up past where it was', () => {
    const [gearbox, engine, ...more] = legsOf(liftOf('longitudinal-manual', 'engine-with-gearbox', 'split'));
    expect(more).toEqual([]);
    expect(gearbox?.leg.exit).toBe('down');
    expect(gearbox?.drawnOff).toEqual({ xMm: -130, yMm: 0 });
    expect(gearbox?.still.map(({ id }) => id)).toContain('engine');
    expect(engine?.leg.exit).toBe('up');
    expect(engine?.still.map(({ id }) => id)).not.toContain('gearbox');
  });

  it('is drawn off across the machine where the engine lies across', () =>
    expect(legsOf(liftOf('transverse-cradle', 'engine', 'top-engine'))[0]?.drawnOff).toEqual({ xMm: 0, yMm: -85 }));
});

describe('the way as moves', () => {
  it('is one move at a time, keeps the room the way has, and ends where it ends', () => {
    const lift = liftOf('longitudinal-manual', 'engine-with-gearbox', 'top');
    const scene = legsOf(lift)[0]?.scene;
    if (!scene) throw new Error('There is no leg.');
    const way = wayOf(lift);
    const moves = movesAlong(scene, way.poses);
    expect(moves.length).toBeGreaterThan(2);
    const gaps = new Gaps(scene);
    moves.forEach(({ parts, from, to, clearanceMm }, index) => {
      expect(from).toEqual(index === 0 ? SEATED : moves[index - 1]?.to);
      const changed = (['xMm', 'zMm', 'tiltDeg'] as const).filter((axis) => from[axis] !== to[axis]);
      expect(changed.length).toBeGreaterThanOrEqual(parts.length);
      if (parts.length === 1) expect(parts).not.toEqual(moves[index - 1]?.parts);
      for (const { amount } of parts) expect(amount).toBeGreaterThan(0.1);
      for (const pose of closely([from, to], 10, gaps.reachMm))
        expect(gaps.at(pose, WIDE_MM)?.mm ?? WIDE_MM).toBeGreaterThanOrEqual(clearanceMm - 1e-6);
    });
    expect(Math.min(...moves.map(({ clearanceMm }) => clearanceMm))).toBeGreaterThan(way.clearanceMm - 4);
    const [last, end] = [moves.at(-1)?.to, way.poses.at(-1)];
    expect(Math.abs((last?.zMm ?? 0) - (end?.zMm ?? 0))).toBeLessThanOrEqual(8);
    for (const { watch, clearanceMm } of moves)
      if (watch[0] && clearanceMm < WIDE_MM) expect(watch[0].mm).toBeLessThan(clearanceMm + 12);
  });

  it('is the same turned round on the way back', () => {
    const { scene } = slot(460, 400, 300, 37);
    const out = movesAlong(scene, ended(wayThrough(scene, COARSE))?.poses ?? []);
    const back = wayBack(out);
    expect(back.at(-1)?.to).toEqual(SEATED);
    expect(back[0]?.from).toEqual(out.at(-1)?.to);
    const kinds = (moves: readonly Move[]) => moves.map(({ parts }) => parts.map(({ kind }) => kind));
    const turned = {
      raise: 'lower',
      lower: 'raise',
      forward: 'back',
      back: 'forward',
      'tail-down': 'nose-down',
      'nose-down': 'tail-down',
      left: 'right',
      right: 'left',
    };
    expect(kinds(back)).toEqual([...kinds(out)].reverse().map((some) => some.map((kind) => turned[kind])));
  });

  it('is said as it is done: millimetres, turns of the leveller, goes', () => {
    const [leg] = legsOf(liftOf('longitudinal-manual', 'engine-with-gearbox', 'top'));
    const [leveller] = FIRST_GEAR.levellers;
    if (!leg || !leveller) throw new Error('There is no leg.');
    const move = (to: Partial<Move['to']>, parts: Move['parts']): Move => ({
      parts,
      from: SEATED,
      to: { ...SEATED, ...to },
      clearanceMm: 30,
      watch: [],
    });
    expect(moveWords(move({ zMm: 120 }, [{ kind: 'raise', amount: 120 }]), leg, leveller)).toBe(
      'Raise 120 mm, in 3 goes',
    );
    expect(moveWords(move({ zMm: 120 }, [{ kind: 'raise', amount: 120 }]), leg, leveller, 150)).toBe('Raise 120 mm');
    expect(moveWords(move({ tiltDeg: 20 }, [{ kind: 'tail-down', amount: 20 }]), leg, leveller)).toMatch(
      /^Tail down \d\d turns \(20°\)$/,
    );
    const both: Move['parts'] = [
      { kind: 'raise', amount: 40 },
      { kind: 'forward', amount: 90 },
    ];
    expect(moveWords(move({ zMm: 40, xMm: 90 }, both), leg, leveller)).toBe(
      'Raise 40 mm, forward 90 mm: a little of each, in 2 goes',
    );
    const [dolly] = legsOf(liftOf('transverse-cradle', 'cradle', 'under'));
    if (!dolly) throw new Error('There is no leg.');
    expect(moveWords(move({ zMm: -50 }, [{ kind: 'lower', amount: 50 }]), dolly, leveller)).toBe('Body up 50 mm');
  });

  it('says what to look at, nearest first', () => {
    const { scene } = slot(460, 400, 300, 37);
    for (const { watch } of movesAlong(scene, ended(wayThrough(scene, COARSE))?.poses ?? [])) {
      const gaps = watch.map(({ mm }) => mm);
      expect(gaps).toEqual([...gaps].sort((one, other) => one - other));
    }
  });
});

describe('one more part off', () => {
  it('is offered with what it buys and what it costs, the best bargain first', () => {
    // The radiator end is nearer than usual: the alternator scrapes the shroud on its way down.
    const lift = liftOf('transverse-cradle', 'cradle', 'under', { radiator: 76 });
    const way = wayOf(lift, FINE);
    const offers = ended(offersFor(lift, 0, way, (part) => ({ alternator: 30, 'fan-shroud': 12 })[part]));
    expect(offers.map(({ part }) => part)).toContain('fan-shroud');
    for (const { gainMm } of offers) expect(gainMm).toBeGreaterThanOrEqual(5);
    const worth = offers.map(({ gainMm, minutes }) => gainMm / minutes);
    expect(worth).toEqual([...worth].sort((one, other) => other - one));
  });

  it('makes a way where there was none', () => {
    const lift = liftOf('transverse-cradle', 'cradle', 'under', { radiator: 96 });
    const way = wayOf(lift);
    expect(way.clearanceMm).toBeLessThan(0);
    const [best] = ended(offersFor(lift, 0, way, (part) => ({ 'fan-shroud': 12 })[part]));
    expect(best?.part).toBe('fan-shroud');
    expect(best?.clearanceMm).toBeGreaterThan(0);
  });
});
