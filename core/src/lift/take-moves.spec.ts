import { compose, templateOf } from '../layouts/index.js';
import { RULES_NOW } from '../connection-map/index.js';
import { canApply, extend, foldLedger, type EntryBody, type JobState } from '../ledger/index.js';
import { recorder } from '../testing/crew.js';
import { COARSE, wayThrough } from '../clearance/index.js';
import { legsOf, liftFor, movesAlong, movesHold, movesToTake, withoutPart } from './index.js';

const plan = { map: compose(templateOf('utility-belt')), powerpack: 'engine', route: 'top', rules: RULES_NOW };
const record = recorder();
const write = (state: JobState, ...bodies: readonly EntryBody[]) => extend(state, bodies.map(record));

function movesOf(state: JobState) {
  const lift = liftFor(state);
  const [leg] = lift ? legsOf(lift) : [];
  if (!lift || !leg) throw new Error('Nobody drew it.');
  const search = wayThrough(leg.scene, COARSE);
  let step = search.next();
  while (!step.done) step = search.next();
  const moves = movesToTake(state.plan, lift, [{ leg, moves: movesAlong(leg.scene, step.value?.poses ?? []) }]);
  if (!moves) throw new Error('There is a leg.');
  return moves;
}

describe('moves as steps', () => {
  const start = foldLedger(plan, []);
  const taken = write(start, { kind: 'moves-taken', ...movesOf(start) });

  it('have minutes, something to look at where something is near, and a way back as long', () => {
    const { out, back, carriedBy } = movesOf(start);
    expect(carriedBy).toBe('hoist');
    expect(back).toHaveLength(out.length);
    for (const { minutes } of out) {
      expect(minutes.low).toBeGreaterThan(0);
      expect(minutes.low).toBeLessThanOrEqual(minutes.likely);
      expect(minutes.likely).toBeLessThan(minutes.high);
    }
    expect(out[0]?.tip).toMatch(/mm as drawn\. Look at .+ and .+\./);
  });

  it('hold as long as the same is on and off, and the same is measured', () => {
    expect(movesHold(start)).toBe(true);
    expect(movesHold(taken)).toBe(true);
    expect(movesHold(write(taken, { kind: 'machine-measured', plane: 'top', mm: 280 }))).toBe(false);
    expect(
      movesHold(
        write(taken, { kind: 'operation-skipped', operation: 'remove:airbox', mode: 'later', reason: 'Stays on' }),
      ),
    ).toBe(false);
    expect(movesHold(foldLedger(withoutPart(plan, 'alternator'), taken.entries))).toBe(false);
  });
});

describe('a lift in two legs', () => {
  const split = {
    map: compose(templateOf('longitudinal-manual')),
    powerpack: 'engine-with-gearbox',
    route: 'split',
    rules: RULES_NOW,
  };
  const start = foldLedger(split, []);
  const lift = liftFor(start);
  const legs = (lift ? legsOf(lift) : []).map((leg) => ({
    leg,
    moves: movesAlong(leg.scene, [
      { xMm: 0, zMm: 0, tiltDeg: 0 },
      { xMm: 0, zMm: leg.leg.exit === 'up' ? 150 : -150, tiltDeg: 0 },
    ]),
  }));
  const moves = lift && movesToTake(split, lift, legs);
  const titles = (state: JobState, kind: 'lift' | 'lower') =>
    [...state.work.operations.values()].filter((one) => one.kind === kind).map(({ title }) => title);

  it('goes by the moves of both, with the layout’s own steps round each and between them', () => {
    if (!moves) throw new Error('It was drawn.');
    const taken = write(start, { kind: 'moves-taken', ...moves });
    expect(titles(taken, 'lift')).toEqual([
      'Draw the gearbox back off the dowels',
      'Lower 150 mm, in 3 goes',
      'Roll the gearbox out and block it',
      'Hoist tight, then the stand away from under the engine',
      'Take it up until it just comes free, and look all round',
      'Raise 150 mm, in 3 goes',
      'Roll clear and set down on the stand',
    ]);
    const back = titles(taken, 'lower');
    expect(back.indexOf('Lower 150 mm, in 3 goes')).toBeLessThan(back.indexOf('Set the stand under the engine again'));
    expect(back.slice(-2)).toEqual(['Raise it until the faces are parallel', 'Push it home on the dowels']);
    expect(back.indexOf('Raise 150 mm, in 3 goes')).toBe(back.length - 3);
    expect(movesHold(taken)).toBe(true);
  });

  it('is refused where the route has not the steps between', () => {
    const [entry] = [record({ kind: 'moves-taken', ...(moves ?? movesOf(start)), then: undefined as never })];
    const lost = { ...entry, then: moves?.then?.map((leg) => ({ ...leg, after: 'nowhere' })) } as typeof entry;
    expect(canApply(start, lost).map(({ words }) => words)).toEqual([
      'This route has not the steps its legs stand between. Look for the way anew.',
    ]);
  });

  it('is nothing to take without a leg', () => {
    expect(lift && movesToTake(split, lift, [])).toBeUndefined();
  });
});
