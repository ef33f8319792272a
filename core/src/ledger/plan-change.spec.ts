import fc from 'fast-check';
import { MapError, type JobPlan } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { applyEdit, type MapEdit } from '../map-edit/index.js';
import { entriesForNext, recorder, write } from '../testing/crew.js';
import { out, then } from '../testing/small-job.js';
import { smallMap, smallPlanWith } from '../testing/small-map.js';
import { foldLedger, lostBy, startOf, type JobState } from './index.js';

const plan: JobPlan = { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under' };
const record = recorder();

/** The first hundred entries of a careful crew. */
const worked: JobState = (() => {
  let state = startOf(plan);
  while (state.entries.length < 100) for (const body of entriesForNext(state)) state = write(state, record(body));
  return state;
})();
const upTo = (count: number) => foldLedger(plan, worked.entries.slice(0, count));

const anyRemoval: fc.Arbitrary<MapEdit> = fc.oneof(
  fc.constantFrom(...plan.map.connections).map(({ id }): MapEdit => ({ kind: 'remove-connection', id })),
  fc.constantFrom(...plan.map.parts).map(({ id }): MapEdit => ({ kind: 'remove-part', id })),
);

describe('a plan changed under a job', () => {
  it('may change where nothing has been recorded, and may not where something has', () => {
    const without = (id: string) => ({ ...plan, map: applyEdit(plan.map, { kind: 'remove-connection', id }) });
    const state = upTo(20);
    const done = [...state.progress.keys()].find((id) => id.startsWith('open:') && id !== 'open:battery-negative');
    expect(done).toBeDefined();
    expect(lostBy(state, without(done?.slice('open:'.length) ?? ''))[0]).toMatch(/recorded already; it has to stay/);
    expect(lostBy(state, without('cradle-bolts'))).toEqual([]);
    expect(lostBy(startOf(plan), without(done?.slice('open:'.length) ?? ''))).toEqual([]);
  });

  it('counts what was counted, tagged and torqued among what may not be lost', () => {
    const counted = 'upper-hose';
    const state = foldLedger(plan, [
      record({ kind: 'fasteners-counted', connection: counted, direction: 'out', count: 1, bag: 1 }),
    ]);
    const elsewhere: JobPlan = { ...plan, map: applyEdit(plan.map, { kind: 'remove-connection', id: counted }) };
    expect(lostBy(state, elsewhere).join(' ')).toMatch(/has been counted already; it has to stay on the map/);
  });

  it('keeps a circuit that a fill was planned for, and names what it would lose', () => {
    const state = then(out, { kind: 'fill-planned', circuit: 'coolant', freezingC: -25 });
    const without = (changes: Partial<typeof smallMap>) => lostBy(state, smallPlanWith(changes));
    const connections = smallMap.connections.map(({ circuit: _circuit, ...one }) => one);
    expect(without({ connections, circuits: [] })).toContain(
      'Coolant has been planned to be filled already; it has to stay on the map.',
    );
    expect(without({ connections, circuits: [] })).toContain(
      '“Drain the coolant” is recorded already; it has to stay in the plan.',
    );
    expect(without({})).toEqual([]);
  });

  it('lets go what was taken back', () => {
    const first = upTo(20).entries.find(
      (entry) =>
        entry.kind === 'operation-done' && entry.operation.startsWith('open:') && !/battery/.test(entry.operation),
    );
    if (first?.kind !== 'operation-done') throw new Error('Nobody opened a joint.');
    const last = upTo(upTo(20).entries.indexOf(first) + 1);
    const id = first.operation.slice('open:'.length);
    const without: JobPlan = { ...plan, map: applyEdit(plan.map, { kind: 'remove-connection', id }) };
    expect(lostBy(last, without)).not.toEqual([]);
    const back = write(last, record({ kind: 'corrected', corrects: first.id, reason: 'Another one' }));
    expect(lostBy(back, without)).toEqual([]);
  });

  it('never loses what is recorded when it is let through', () => {
    fc.assert(
      fc.property(fc.nat(100), fc.array(anyRemoval, { minLength: 1, maxLength: 4 }), (count, edits) => {
        const state = upTo(count);
        try {
          const changed: JobPlan = { ...plan, map: edits.reduce(applyEdit, plan.map) };
          if (lostBy(state, changed).length > 0) return;
          const after = foldLedger(changed, state.entries);
          for (const [operation, progress] of state.progress) {
            expect(after.progress.get(operation)).toEqual(progress);
            expect(after.work.operations.has(operation)).toBe(true);
          }
          for (const connection of [...state.bags.keys(), ...state.tags.keys()])
            expect(after.work.connections.has(connection)).toBe(true);
        } catch (error) {
          if (!(error instanceof MapError)) throw error;
        }
      }),
      { numRuns: 150, seed: 9 },
    );
  });
});
