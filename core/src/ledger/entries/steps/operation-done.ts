import { SEAT_WORDS } from '../../../adjusting/index.js';
import type { ConnectionId } from '../../../connection-map/index.js';
import { stageWords } from '../../../torque/index.js';
import { heldTo } from '../../counting.js';
import { boltNumbers, jointNow } from '../../joint.js';
import type { Operation, OperationId } from '../../../teardown/index.js';
import { heightNeeded, isSettled } from '../../reading.js';
import { NOTHING, refuse, unknown, type Refusal } from '../../refusal.js';
import type { JobState } from '../../state.js';
import { partsAwaitedAt } from '../../parts-awaited.js';
import { stopOfStep } from '../../stop-of-step.js';
import { waitsFor } from '../../waits-for.js';
import type { EntryRules } from '../entry-rules.js';
import { STAGE_WORDS } from '../parts/part-moved-on.js';

/** A step is done. */
export interface OperationDone {
  readonly kind: 'operation-done';
  readonly operation: OperationId;
  /** What was to be renewed went back as it was: the new one has not come. */
  readonly withOld?: true;
  /** Whoever works alone had somebody with them for it. */
  readonly helped?: true;
}

export const operationDone: EntryRules<OperationDone> = {
  mayFollow(state, entry) {
    const operation = state.work.operations.get(entry.operation);
    return operation ? mayBeDone(state, operation, entry.withOld) : unknown('step', entry.operation);
  },
  fold: (draft, { operation, withOld }, mark) =>
    void draft.progress.set(operation, { is: 'done', ...(withOld ? { withOld } : {}), ...mark }),
  stop: (state, { operation }) => stopOfStep(state, operation) ?? 'strip',
  minutes: 'of-the-step',
  binds: ({ operation }) => ({ operations: [operation] }),
  leavesOpen: ({ progress, work }) =>
    [...progress].flatMap(([id, now]) =>
      now.is === 'done' && now.withOld
        ? [
            {
              is: 'part',
              grave: true,
              words: `Not renewed, the old one went back: ${work.operations.get(id)?.title ?? id}`,
            },
          ]
        : [],
    ),
  words: ({ operation, withOld, helped }, { step }) =>
    `Done: ${step(operation)}${withOld ? ', with the old one' : ''}${helped ? ', with a second pair of hands' : ''}`,
};

function mayBeDone(state: JobState, operation: Operation, withOld?: true): readonly Refusal[] {
  if (operation.kind === 'hold-point') return refuse('gate', 'A hold point is signed, not ticked off.');
  if (isSettled(state, operation)) return refuse('twice', `“${operation.title}” is finished already.`);
  return [
    ...waitsFor(state, operation),
    ...standsWrong(state, operation),
    ...notTorqued(state, operation),
    ...notMeasured(state, operation),
    ...(withOld ? NOTHING : notCome(state, operation)),
  ];
}

function standsWrong(state: JobState, operation: Operation): readonly Refusal[] {
  const height = heightNeeded(state, operation);
  if (!height) return NOTHING;
  return refuse(
    'height',
    height === 'raised'
      ? 'The machine stands on the ground. Raise it onto stands first.'
      : 'The machine is raised. Let it down onto its wheels first.',
  );
}

function notTorqued(state: JobState, { kind, connection }: Operation): readonly Refusal[] {
  if (kind !== 'torque' || connection === undefined) return NOTHING;
  if (state.tightened.has(connection)) return notFinal(state, connection);
  const last = state.torques.get(connection)?.at(-1);
  if (!last) return refuse('torque', 'Read the torque first.');
  return last.verdict !== 'within' && last.accepted === undefined
    ? refuse('torque', 'The last reading missed its target. Do it again, or accept it with a reason.')
    : NOTHING;
}

/** From the fifth edition of the rules on a seat is measured while it can be. */
function notMeasured(state: JobState, { id, measures }: Operation): readonly Refusal[] {
  if (!measures || !heldTo(state, 5)) return NOTHING;
  const seat = state.seats.get(id);
  const { name } = SEAT_WORDS[measures];
  if (!seat) return refuse('order', `Measure it first: ${name.toLowerCase()}. Afterwards nobody gets there.`);
  return seat.good || seat.accepted !== undefined
    ? NOTHING
    : refuse('order', `${name}: ${seat.words} Measure again, or accept it with a reason.`);
}

/** From the sixth edition of the rules on nothing is renewed with what never came. */
function notCome(state: JobState, operation: Operation): readonly Refusal[] {
  const awaited = heldTo(state, 6) ? partsAwaitedAt(state, operation) : [];
  if (awaited.length === 0) return NOTHING;
  const names = awaited.map(({ name, stage }) => `${name} (${STAGE_WORDS[stage]})`).join(', ');
  return refuse('order', `Not here: ${names}. Say that it came, or that the old one goes back.`);
}

/** A joint that was begun bolt by bolt is done when every bolt of it is. */
function notFinal(state: JobState, connection: ConnectionId): readonly Refusal[] {
  const now = jointNow(state, connection);
  if (!now || now.final) return NOTHING;
  const left = now.stage ? now.next : now.missed;
  return refuse(
    'torque',
    `${left.length === 1 ? 'Bolt' : 'Bolts'} ${boltNumbers(now, left).join(', ')}: ${
      now.stage
        ? `still to be brought to ${stageWords(now.stage)}.`
        : 'missed the figure. Do them again, or accept it with a reason.'
    }`,
  );
}
