import type { Operation, OperationId } from '../../../teardown/index.js';
import { isSettled, mayBePassedOver } from '../../reading.js';
import { NOTHING, refuse, unknown, type Refusal } from '../../refusal.js';
import type { JobState } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** How a step is passed over: put off, or found not to be on this machine. */
export const SKIP_MODES = ['later', 'not-here'] as const;
export type SkipMode = (typeof SKIP_MODES)[number];

/** A step is passed over. */
export interface OperationSkipped {
  readonly kind: 'operation-skipped';
  readonly operation: OperationId;
  readonly mode: SkipMode;
  readonly reason: string;
}

export const operationSkipped: EntryRules<OperationSkipped> = {
  mayFollow(state, { operation: id, mode }) {
    const operation = state.work.operations.get(id);
    return operation ? maySkip(state, operation, mode) : unknown('step', id);
  },
  fold: (draft, { operation, mode, reason }, mark) =>
    void draft.progress.set(operation, { is: 'skipped', mode, reason, ...mark }),
  stop: (state, { operation }) => stopOfStep(state, operation) ?? 'strip',
  minutes: 'of-what-comes-next',
  binds: ({ operation }) => ({ operations: [operation] }),
  words: ({ operation, mode, reason }, { step }) =>
    `${mode === 'later' ? 'Put off' : 'Not on this machine'}: ${step(operation)}. ${reason}`,
};

function maySkip(state: JobState, operation: Operation, mode: SkipMode): readonly Refusal[] {
  if (!mayBePassedOver(operation))
    return refuse('sense', `“${operation.title}” cannot be passed over: others’ safety hangs on it.`);
  if (isSettled(state, operation)) return refuse('twice', `“${operation.title}” is finished already.`);
  return mode === 'not-here' ? mayNotBeHere(state, operation) : NOTHING;
}

/** Kinds of steps at the bench that something may turn out not to be there for. */
const TAKES_APART: readonly Operation['kind'][] = ['disconnect', 'remove', 'prepare'];

function mayNotBeHere(state: JobState, { phase, kind, connection }: Operation): readonly Refusal[] {
  if (phase !== 'strip' && !TAKES_APART.includes(kind))
    return refuse('sense', 'What was taken off has to go back. Put it off, or leave it off on purpose with a reason.');
  if (kind === 'drain')
    return refuse(
      'sense',
      'Empty already? Record nought litres and say it is done: it is filled on the way back all the same.',
    );
  return connection !== undefined && state.work.connections.get(connection)?.carriesLoad
    ? refuse('sense', 'It carries the weight; look again whether it is there.')
    : NOTHING;
}
