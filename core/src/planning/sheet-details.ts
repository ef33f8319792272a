import { LOOK_WORDS, looksAtClosing, SEAT_WORDS } from '../adjusting/index.js';
import type { AdjustmentSpec, Circuit, Connection, FastenerSet } from '../connection-map/index.js';
import { pagesFor } from '../literature/index.js';
import { setsOf, type JobState } from '../ledger/index.js';
import type { Operation } from '../teardown/index.js';
import { THREAD_STATE_WORDS } from '../torque/index.js';

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
  const holdPoint = state.work.holdPoints.find(({ id }) => id === operation.holdPoint);
  return {
    figures: [
      ...(connection ? ofJoint(operation, connection, setsOf(state, connection.id)) : []),
      ...(circuit ? [ofFluid(operation, circuit)] : []),
      ...(holdPoint && state.twoSign.has(holdPoint.id) ? ['two people look and sign'] : []),
      ...(operation.measures ? [`measure: ${SEAT_WORDS[operation.measures].name.toLowerCase()}`] : []),
      ...pagesFor(state, operation).map(
        ({ title, page, words }) => `see “${title}”, page ${page}${words === undefined ? '' : `: ${words}`}`,
      ),
    ],
    looks: holdPoint?.confirmations.map(({ words }) => words) ?? [],
  };
}

function ofJoint({ kind }: Operation, connection: Connection, sets: readonly FastenerSet[]): readonly string[] {
  const { refit } = connection;
  if (kind === 'torque') {
    const { targetNm, angleDeg, looseUntilAllIn, thread, eachRead, again } = refit.torque ?? {};
    const count = sets.reduce((sum, set) => sum + set.count, 0);
    return [
      `${count > 1 ? `${count} × ` : ''}${targetNm ?? ''} N·m${angleDeg === undefined ? '' : `, then ${angleDeg}°`}`,
      ...(thread === undefined ? [] : [THREAD_STATE_WORDS[thread].toLowerCase()]),
      ...(eachRead ? ['each bolt read by itself'] : []),
      ...(looseUntilAllIn === undefined ? [] : [`once all of the ${looseUntilAllIn} is in`]),
      ...(again ? ['once more after the first heat cycle'] : []),
    ];
  }
  const fresh = kind === 'disconnect' || kind === 'make-safe' ? 'new ones on the way back' : 'new';
  const closing = kind === 'connect';
  // On paper only what would be forgotten: that a plug clicks stands in its tip.
  const looks = closing
    ? looksAtClosing(connection).flatMap(({ look, own }) => (own ? [LOOK_WORDS[look].good] : []))
    : [];
  const fasteners = sets.map(({ count, what, note, singleUse, washers = [] }) =>
    [
      `${count} × ${what}`,
      ...(note === undefined ? [] : [note]),
      ...(washers.length > 0 ? [`washers from the head: ${washers.join(', ')}`] : []),
      ...(singleUse ? [fresh] : []),
    ].join('; '),
  );
  return [
    ...fasteners,
    ...(closing && refit.handTight !== undefined ? [`hand tight: ${refit.handTight.toLowerCase()}`] : []),
    ...(looks.length > 0 ? [`look: ${looks.join(', ')}`] : []),
    ...(closing && refit.adjust ? [ofAdjustment(refit.adjust)] : []),
  ];
}

function ofAdjustment({ what, gears = [], from, to, at }: AdjustmentSpec): string {
  const where = at === undefined ? '' : `, ${at}`;
  if (what === 'gears') return `try ${gears.join(', ')}${where}`;
  if (from === undefined || to === undefined) return `its tension by the maker’s figure${where}`;
  return `${from} to ${to} mm of play${where}`;
}

function ofFluid({ kind }: Operation, { fluid, grade, drainsL, capacityL }: Circuit): string {
  if (kind === 'drain') return `about ${drainsL} l of ${fluid}`;
  return `about ${drainsL} l of ${fluid}, ${capacityL} l when dry${grade === undefined ? '' : `; ${grade}`}`;
}
