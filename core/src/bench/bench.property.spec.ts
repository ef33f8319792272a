import fc from 'fast-check';
import { TEMPLATES, usualMap } from '../layouts/index.js';
import { RULES_NOW, lumpOf, waysOut, type ConnectionMap, type JobPlan } from '../connection-map/index.js';
import { descendantsOf, operationId } from '../teardown/index.js';
import { workOf } from '../work/index.js';
import { FATES, unitsOf, type BenchDecisions, type Fate } from './index.js';

const maps = new Map(TEMPLATES.map(({ layout }) => [layout, usualMap(layout)]));

/** The units of one way out. */
function unitsFor(map: ConnectionMap, powerpack: string, route: string) {
  const plan: JobPlan = { map, powerpack, route, rules: RULES_NOW };
  return unitsOf(plan, workOf(plan).lump);
}

/** Names only, so that a counterexample can be read. */
interface Decided {
  readonly layout: string;
  readonly powerpack: string;
  readonly route: string;
  readonly now: readonly string[];
  readonly units: readonly { readonly unit: string; readonly becomes: Fate; readonly comesWith: readonly string[] }[];
}

/** Any layout, any way out, anything decided. */
const decided: fc.Arbitrary<Decided> = fc.constantFrom(...maps.values()).chain((map) =>
  fc.constantFrom(...waysOut(map)).chain(({ powerpack, route }) => {
    const riders = map.parts.filter(({ ridesWith }) => ridesWith !== undefined).map(({ id }) => id);
    return fc.record({
      layout: fc.constant(map.layout),
      powerpack: fc.constant(powerpack.id),
      route: fc.constant(route.id),
      now: fc.subarray((map.renewals ?? []).map(({ id }) => id)),
      units: fc.array(
        fc.record({
          unit: fc.constantFrom(...unitsFor(map, powerpack.id, route.id)),
          becomes: fc.constantFrom(...FATES),
          comesWith: fc.subarray(riders),
        }),
        { maxLength: 2 },
      ),
    });
  }),
);

function workFor({ layout, now, units, ...way }: Decided) {
  const plan: JobPlan = { map: maps.get(layout) ?? usualMap(layout), rules: RULES_NOW, ...way };
  const decisions: BenchDecisions = {
    now: new Set(now),
    own: [],
    units: new Map(units.map(({ unit, ...decision }) => [unit, decision])),
  };
  return { plan, work: workOf(plan, [], undefined, decisions) };
}

describe('whatever is decided at the bench', () => {
  it('can be worked off without anything waiting for itself, opens nothing twice, and puts everything on again once', () => {
    fc.assert(
      fc.property(decided, (given) => {
        const { work } = workFor(given);
        const steps = [...work.operations.values()];
        const phase = (id: string) => work.operations.get(id)?.phase;
        for (const { id, connection, part, kind } of steps) {
          if (kind === 'disconnect' && connection !== undefined) {
            const closed = steps.filter((step) => step.kind === 'connect' && step.connection === connection);
            expect([id, closed.length]).toEqual([id, 1]);
            if (phase(id) === 'bench') expect(closed[0]?.phase).toBe('bench');
          }
          if (kind === 'remove' && phase(id) === 'bench')
            expect([id, steps.filter((step) => step.kind === 'fit' && step.part === part).length]).toEqual([id, 1]);
        }
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      }),
      { numRuns: 60, seed: 14 },
    );
  });

  it('works on nothing that hangs, and makes nothing in the machine safe anew', () => {
    fc.assert(
      fc.property(decided, (given) => {
        const { work } = workFor(given);
        const decidedOn = [...work.operations.values()].filter(
          ({ phase, kind }) => phase === 'bench' && kind !== 'prepare',
        );
        const stood = descendantsOf(operationId.stand(), work);
        for (const { id, station, condition } of decidedOn) {
          expect([id, condition]).toEqual([id, undefined]);
          if (station === 'bench' && id !== operationId.stand()) expect([id, stood.has(id)]).toEqual([id, true]);
        }
      }),
      { numRuns: 60, seed: 16 },
    );
  });

  it('accounts for every part of a unit that another takes the place of: it stays on the old one, or goes over', () => {
    fc.assert(
      fc.property(decided, (given) => {
        const { plan, work } = workFor(given);
        for (const [unit, stays] of work.bench.replaced)
          for (const id of lumpOf(plan.map, [unit])) {
            if (!work.lump.has(id) || stays.has(id)) continue;
            const ties = plan.map.connections.filter(
              ({ between }) => between.includes(id) && between.some((end) => stays.has(end)),
            );
            for (const { id: joint } of ties)
              expect([
                id,
                work.operations.has(operationId.open(joint)) && work.operations.has(operationId.close(joint)),
              ]).toEqual([id, true]);
            if (ties.some(({ id: joint }) => work.bench.opened.has(joint)))
              expect([id, work.operations.has(operationId.fit(id))]).toEqual([id, true]);
          }
      }),
      { numRuns: 60, seed: 15 },
    );
  });
});
