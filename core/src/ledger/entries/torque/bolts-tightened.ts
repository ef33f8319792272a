import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { boltNm, judgeStage, TorqueError, type TorqueVerdict, type WrenchInHand } from '../../../torque/index.js';
import type { TorqueReadingAsRead } from '../../../units/index.js';
import { several } from '../../../words/index.js';
import { boltNumbers, halfTight, jointOf } from '../../joint.js';
import { isSettled } from '../../reading.js';
import { refuse, unknown, type Refusal } from '../../refusal.js';
import type { JobState, Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';
import { mayBeTorqued, noSuchWrench } from './may-be-torqued.js';

/** Some bolts of a joint, or all of them, were brought through one stage of its tightening. */
export interface BoltsTightened {
  readonly kind: 'bolts-tightened';
  readonly connection: ConnectionId;
  /** Index of the stage; 0 is the first with a wrench. */
  readonly stage: number;
  /** Holes of the pattern, in the order they were touched. */
  readonly bolts: readonly number[];
  /** What the wrench showed, and which it was; for a stage to a torque. */
  readonly read?: TorqueReadingAsRead;
  readonly wrench?: WrenchInHand;
  /** How far they were turned; for a stage by an angle. */
  readonly degrees?: number;
}

/** Bolts brought through a stage, and what to make of it. */
export interface Tightened extends Mark {
  readonly stage: number;
  readonly bolts: readonly number[];
  readonly verdict: TorqueVerdict;
  readonly degrees?: number;
}

/** How a joint came to be as tight as it is: every touch, and why what missed stays. */
export interface Tightening {
  readonly touches: readonly Tightened[];
  /** Said of the touches there were by then. */
  readonly accepted?: { readonly reason: string; readonly touches: number };
}

export const boltsTightened: EntryRules<BoltsTightened> = {
  mayFollow(state, entry) {
    const { connection: id, stage: at, bolts, read, wrench, degrees } = entry;
    const connection = state.work.connections.get(id);
    if (!connection) return unknown('connection', id);
    const joint = jointOf(state, id);
    if (!joint) return refuse('sense', `There is no torque figure for ${connection.name}.`);
    const stage = joint.stages[at];
    if (!stage)
      return refuse(
        'sense',
        `There is no such stage at ${connection.name}: ${several(joint.stages.length, 'stage')} in all.`,
      );
    if (new Set(bolts).size < bolts.length) return refuse('twice', 'One and the same bolt stands there twice.');
    const stranger = bolts.find((bolt) => bolt >= joint.bolts);
    if (bolts.length === 0 || stranger !== undefined)
      return refuse('sense', `Say which it was of ${several(joint.bolts, 'bolt')} at ${connection.name}.`);
    if (stage.is === 'angle' ? degrees === undefined : read === undefined || wrench === undefined)
      return refuse(
        'sense',
        stage.is === 'angle' ? 'Say how far they were turned.' : 'Say what the wrench read, and which it was.',
      );
    return [...mayBeTorqued(state, id), ...(read && wrench ? leverLeft(wrench, read) : [])];
  },
  fold(draft, { connection, stage: at, bolts, read, wrench, degrees, at: time }, mark) {
    const joint = jointOf(draft, connection);
    const stage = joint?.stages[at];
    if (!joint || !stage) return;
    const judged =
      stage.is === 'torque' && read && wrench ? judgeStage(stage, joint.targetNm, wrench, read, time) : 'within';
    const verdict =
      judged === 'within' && isFinal(joint.stages, at) && tooEarly(draft, connection) ? 'too-early' : judged;
    const before = draft.tightened.get(connection) ?? { touches: [] };
    const touch = { stage: at, bolts, verdict, ...(degrees === undefined ? {} : { degrees }), ...mark };
    draft.tightened.set(connection, { ...before, touches: [...before.touches, touch] });
    if (stage.is === 'torque' && stage.share === 1 && read && wrench)
      draft.torques.set(connection, [
        ...(draft.torques.get(connection) ?? []),
        { targetNm: joint.targetNm, wrench: wrench.name, read: asGiven(wrench, read), verdict, ...mark },
      ]);
  },
  stop: (state, { connection }) => stopOfStep(state, operationId.torque(connection)) ?? 'refit',
  minutes: 'of-what-comes-next',
  binds: ({ connection }) => ({ connections: [connection], been: 'torqued' }),
  leavesOpen: (state) =>
    halfTight(state).map(({ words }) => ({ is: 'torque', grave: true, words: `Half-way: ${words}` })),
  words: ({ connection, bolts, stage, read, degrees }, { state, joint }) => {
    const found = jointOf(state, connection);
    const of =
      found && bolts.length === found.bolts
        ? 'all bolts'
        : `bolt ${(found ? boltNumbers(found, bolts) : bolts).join(', ')}`;
    const how = read ? `${read.value} ${read.unit}` : `${degrees ?? 0}°`;
    return `Stage ${stage + 1} of ${joint(connection)}: ${of}, ${how}`;
  },
};

/** What the bolt got: with an adapter that is not what the wrench showed. */
function asGiven(wrench: WrenchInHand, read: TorqueReadingAsRead): TorqueReadingAsRead {
  return wrench.adapter ? { value: boltNm(wrench, read), unit: 'N·m' } : read;
}

function isFinal(stages: readonly { readonly is: string }[], at: number): boolean {
  return at === stages.length - 1 || stages[at + 1]?.is === 'angle';
}

/** Whether something has to come before the final torque of a joint, and has not: another of its group is not in. */
function tooEarly(state: JobState, connection: ConnectionId): boolean {
  return (state.work.into.get(operationId.torque(connection)) ?? []).some(({ before }) => {
    const operation = state.work.operations.get(before);
    return operation !== undefined && !isSettled(state, operation);
  });
}

/** Why nothing can be made of a reading: there is no such wrench, or its adapter leaves no lever. */
function leverLeft(wrench: WrenchInHand, read: TorqueReadingAsRead): readonly Refusal[] {
  try {
    boltNm(wrench, read);
    return noSuchWrench(wrench.range);
  } catch (error) {
    if (error instanceof TorqueError) return refuse('sense', error.message);
    throw error;
  }
}
