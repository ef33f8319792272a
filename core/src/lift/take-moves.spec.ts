import { compose, templateOf } from '../layouts/index.js';
import { RULES_NOW } from '../connection-map/index.js';
import { extend, foldLedger, type EntryBody, type JobState } from '../ledger/index.js';
import { recorder } from '../testing/crew.js';
import { COARSE, wayThrough } from '../clearance/index.js';
import { levellerFor } from '../rigging/index.js';
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
  return movesToTake(
    state.plan,
    lift,
    leg,
    movesAlong(leg.scene, step.value?.poses ?? []),
    levellerFor(lift.gear, leg.massKg),
  );
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
