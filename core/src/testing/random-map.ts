import fc from 'fast-check';
import type { Connection, JobPlan, Part, PartId } from '../connection-map/index.js';
import { CONNECTION_KINDS, RULES_NOW, STATIONS, STEP_HEIGHTS } from '../connection-map/index.js';
import { connection, minutes, step } from '../layouts/author.js';
import { smallMap, withMore } from './small-map.js';

const station = fc.constantFrom(...STATIONS);
const height = fc.constantFrom(...STEP_HEIGHTS);

/** Extra parts, each riding with the engine, loose in the bay, or able to come off by itself. */
const extraParts = fc
  .array(fc.record({ rides: fc.boolean(), comesOff: fc.boolean(), station, height }), { minLength: 1, maxLength: 8 })
  .map((drafts): readonly Part[] =>
    drafts.map(({ rides, comesOff, station: place, height: stands }, index) => ({
      id: `part-${index}`,
      name: `part ${index}`,
      zone: 'bay-top',
      system: 'body',
      ...(rides ? { ridesWith: 'engine' } : {}),
      ...(comesOff
        ? {
            removal: step({
              title: `Take part ${index} away`,
              station: place,
              height: stands,
              minutes: minutes(1, 2, 3),
            }),
          }
        : {}),
    })),
  );

/** Extra connections between any two parts; access only to earlier ones, so that no loop is authored. */
function extraConnections(parts: readonly Part[]): fc.Arbitrary<readonly Connection[]> {
  const ends: readonly PartId[] = [...smallMap.parts, ...parts].map(({ id }) => id);
  return fc
    .array(
      fc.record({
        ends: fc.tuple(fc.nat(ends.length - 1), fc.nat(ends.length - 1)),
        kind: fc.constantFrom(...CONNECTION_KINDS),
        station,
        height,
        load: fc.boolean(),
        isolated: fc.boolean(),
        wet: fc.boolean(),
        torque: fc.boolean(),
        after: fc.option(fc.nat(30)),
      }),
      { minLength: 1, maxLength: 24 },
    )
    .map((drafts) =>
      drafts.flatMap((draft, index) => {
        const [one, other] = [ends[draft.ends[0]], ends[draft.ends[1]]];
        if (one === undefined || other === undefined || one === other) return [];
        const earlier = draft.after === null ? -1 : draft.after;
        return [
          connection({
            id: `extra-${index}`,
            name: `extra ${index}`,
            kind: draft.kind,
            between: [one, other],
            system: 'electrics',
            station: draft.station,
            height: draft.height,
            minutes: minutes(1, 2, 5),
            needs: [...(draft.load ? ['hoisted'] : []), ...(draft.isolated ? ['isolated'] : [])],
            ...(draft.load ? { carriesLoad: true } : {}),
            ...(draft.wet ? { circuit: 'coolant' } : {}),
            ...(draft.torque ? { refit: { torque: { targetNm: 20 } } } : {}),
            access: [],
            tip: earlier >= 0 && earlier < index ? `extra-${earlier}` : '',
          }),
        ];
      }),
    )
    .map((made) => {
      const ids = new Set(made.map(({ id }) => id));
      return made.map(({ tip, ...one }) => ({
        ...one,
        access: tip && ids.has(tip) ? [{ open: tip, why: `It lies behind ${tip}.` }] : [],
      }));
    });
}

/** Plans on machines nobody has built, held to any edition of the rules: the small map with more hung on it at random. */
export const randomPlan: fc.Arbitrary<JobPlan> = fc
  .tuple(
    extraParts.chain((parts) => extraConnections(parts).map((connections) => withMore(parts, connections))),
    fc.integer({ min: 1, max: RULES_NOW }),
  )
  .map(([plan, rules]) => ({ ...plan, rules }));
