import type { OperationId } from '../../../teardown/index.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** Something worth knowing later. */
export interface Noted {
  readonly kind: 'noted';
  readonly text: string;
  readonly operation?: OperationId;
  /** The shop keeps it for the next machine of this kind. */
  readonly house?: boolean;
}

export interface Note extends Mark {
  readonly text: string;
  readonly operation?: OperationId;
  readonly house?: boolean;
}

export const noted: EntryRules<Noted> = {
  mayFollow: ({ work }, { operation }) =>
    operation === undefined || work.operations.has(operation) ? NOTHING : unknown('step', operation),
  fold: (draft, { text, operation, house }, mark) =>
    void draft.notes.push({ text, ...(operation ? { operation } : {}), ...(house ? { house: true } : {}), ...mark }),
  stop: (state, { operation }) => stopOfStep(state, operation) ?? 'strip',
  minutes: 'of-what-comes-next',
  afterHandover: true,
  words: ({ text, operation }, { step }) => `Note${operation ? ` at ${step(operation)}` : ''}: ${text}`,
};
