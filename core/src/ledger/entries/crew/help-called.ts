import type { OperationId } from '../../../teardown/index.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { JobState, Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** Somebody at a step wants something brought, or a hand. */
export interface HelpCalled {
  readonly kind: 'help-called';
  readonly text: string;
  /** The step it is wanted at. */
  readonly operation?: OperationId;
  /** Who is called; absent: whoever is free. */
  readonly who?: string;
}

/** A call, and who took it on. */
export interface Call extends Mark {
  readonly text: string;
  readonly operation?: OperationId;
  readonly who?: string;
  readonly answered?: Mark;
}

/** More of them would cover the work on every device. */
const MOST_OPEN = 6;

/** Calls nobody has taken on yet, first to last. */
export function openCalls({ calls }: JobState): readonly Call[] {
  return [...calls.values()].filter(({ answered }) => !answered);
}

export const helpCalled: EntryRules<HelpCalled> = {
  mayFollow(state, { operation }) {
    if (operation !== undefined && !state.work.operations.has(operation)) return unknown('step', operation);
    return openCalls(state).length < MOST_OPEN
      ? NOTHING
      : refuse('sense', `${MOST_OPEN} calls are open. See to one of them first, or say that it is no longer needed.`);
  },
  fold: (draft, { text, operation, who }, mark) =>
    void draft.calls.set(mark.entry, {
      text,
      ...(operation === undefined ? {} : { operation }),
      ...(who === undefined ? {} : { who }),
      ...mark,
    }),
  stop: (state, { operation }) => stopOfStep(state, operation) ?? 'strip',
  minutes: 'of-what-comes-next',
  words: ({ text, operation, who }, { step }) =>
    `Called ${who ?? 'whoever is free'}${operation === undefined ? '' : ` to ${step(operation)}`}: ${text}`,
};
