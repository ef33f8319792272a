import fc from 'fast-check';
import type { Moving, Station, StepHeight } from '../connection-map/index.js';
import { crewOf, type Crew, type SchedulingProblem } from '../schedule/index.js';
import type { Operation, Precedence } from '../teardown/index.js';

/** A step of work with nothing special about it. */
export function plainStep(id: string, changes: Partial<Operation> = {}): Operation {
  return {
    id,
    phase: 'strip',
    kind: 'disconnect',
    title: id,
    station: 'bay-top',
    height: 'either',
    hands: 1,
    tools: [],
    minutes: { low: 1, likely: 2, high: 3 },
    cautions: [],
    ...changes,
  };
}

/** `then` waits for `first`. */
export function edge(first: string, then: string, words = 'So.'): Precedence {
  return { before: first, after: then, reason: { kind: 'access', words } };
}

/** A crew of `people` that counts nothing but minutes and height changes, and raises the machine in `moveMachineMin`. */
export function plainCrew(people: number, moveMachineMin = 3, heightChangeMin = 1): Crew {
  const names = ['Ines', 'Tobias', 'Ruben', 'Marit'].slice(0, people);
  return {
    ...crewOf(names),
    moveMachineMin,
    weights: { heightChangeMin, stationMoveMin: 0, toolFetchMin: 0 },
  };
}

/** Small problems of every kind: heights, hold points, two-handed steps, cramped stations, tools, edges. */
export const randomNet = ({ most, weights = false }: { readonly most: number; readonly weights?: boolean }) =>
  fc
    .record({
      people: fc.integer({ min: 1, max: 3 }),
      steps: fc.array(
        fc.record({
          station: fc.constantFrom<Station>('bay-top', 'wheel-left', 'underside'),
          height: fc.constantFrom<StepHeight>('ground', 'raised', 'either', 'either'),
          hands: fc.constantFrom<1 | 2>(1, 1, 1, 2),
          minutes: fc.integer({ min: 1, max: 4 }),
          hold: fc.nat(9).map((number) => number === 0),
          tools: fc.subarray(['10 mm ratchet', 'pry bar', 'pliers']),
          waitsFor: fc.array(fc.nat(20), { maxLength: 2 }),
          moves: fc.subarray<Moving>(['weight', 'crank'], { maxLength: 1 }),
          at: fc.subarray<Moving>(['weight', 'crank'], { maxLength: 1 }),
          goesOn: fc.nat(5).map((number) => number === 0),
        }),
        { minLength: 1, maxLength: most },
      ),
    })
    .map(({ people, steps }): SchedulingProblem => ({
      operations: steps.map(({ station, height, hands, minutes, hold, tools, moves, at }, index) =>
        plainStep(`step-${index}`, {
          station,
          height,
          hands,
          tools,
          moves,
          at: at.filter((one) => !moves.includes(one)),
          kind: hold ? 'hold-point' : 'disconnect',
          minutes: { low: minutes, likely: minutes, high: minutes },
        }),
      ),
      precedence: steps.flatMap(({ waitsFor }, index) => [
        ...(index === 0 ? [] : waitsFor.map((earlier) => edge(`step-${earlier % index}`, `step-${index}`))),
        ...(index % 2 === 1 && steps[index - 1]?.goesOn ? [edge(`step-${index - 1}`, `step-${index}`)] : []),
      ]),
      crew: weights ? crewOf(['Ines', 'Tobias', 'Ruben'].slice(0, people)) : plainCrew(people),
      height: 'ground',
      // One at most: two that tie each other up are told of elsewhere.
      runs: steps
        .flatMap(({ hold, goesOn, height }, index) => {
          const next = steps[index + 1];
          if (index % 2 === 1 || !goesOn || hold || !next || next.hold) return [];
          const fits = height === next.height || height === 'either' || next.height === 'either';
          return fits ? [{ first: `step-${index}`, then: `step-${index + 1}` }] : [];
        })
        .slice(0, 1),
    }));
