import type { Circuit, Connection, FastenerSet } from '../connection-map/index.js';
import { pagesFor } from '../literature/index.js';
import { setsOf, type JobState } from '../ledger/index.js';
import type { Operation } from '../teardown/index.js';

/** What hands need to know at a step besides its title, each in words of its own. */
export interface StepDetails {
  /** Fasteners, torque, litres: what is read off while doing it. */
  readonly figures: readonly string[];
  /** What is asked before a hold point is signed. */
  readonly looks: readonly string[];
}

/** What is carried to `operation` on paper: its fasteners, its torque, its fluid, the questions of its hold point. */
export function detailsOf(state: JobState, operation: Operation): StepDetails {
  const { map } = state.work.plan;
  const connection = state.work.connections.get(operation.connection ?? '');
  const circuit = map.circuits.find(({ id }) => id === operation.circuit);
  const holdPoint = map.holdPoints.find(({ id }) => id === operation.holdPoint);
  return {
    figures: [
      ...(connection ? ofJoint(operation, connection, setsOf(state, connection.id)) : []),
      ...(circuit ? [ofFluid(operation, circuit)] : []),
      ...pagesFor(state, operation).map(
        ({ title, page, words }) => `see “${title}”, page ${page}${words === undefined ? '' : `: ${words}`}`,
      ),
    ],
    looks: holdPoint?.confirmations.map(({ words }) => words) ?? [],
  };
}

function ofJoint({ kind }: Operation, { refit }: Connection, sets: readonly FastenerSet[]): readonly string[] {
  if (kind === 'torque') {
    const { targetNm, angleDeg, looseUntilAllIn } = refit.torque ?? {};
    const count = sets.reduce((sum, set) => sum + set.count, 0);
    return [
      `${count > 1 ? `${count} × ` : ''}${targetNm ?? ''} N·m${angleDeg === undefined ? '' : `, then ${angleDeg}°`}`,
      ...(looseUntilAllIn === undefined ? [] : [`once all of the ${looseUntilAllIn} is in`]),
    ];
  }
  const fresh = kind === 'disconnect' || kind === 'make-safe' ? 'new ones on the way back' : 'new';
  return sets.map(({ count, what, note, singleUse, washers = [] }) =>
    [
      `${count} × ${what}`,
      ...(note === undefined ? [] : [note]),
      ...(washers.length > 0 ? [`washers from the head: ${washers.join(', ')}`] : []),
      ...(singleUse ? [fresh] : []),
    ].join('; '),
  );
}

function ofFluid({ kind }: Operation, { fluid, grade, drainsL, capacityL }: Circuit): string {
  if (kind === 'drain') return `about ${drainsL} l of ${fluid}`;
  return `about ${drainsL} l of ${fluid}, ${capacityL} l when dry${grade === undefined ? '' : `; ${grade}`}`;
}
