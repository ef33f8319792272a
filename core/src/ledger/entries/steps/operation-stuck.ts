import type { OperationId } from '../../../teardown/index.js';
import { isSettled } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** What makes a step stick. */
export const TROUBLES = [
  'seized',
  'rounded',
  'broken',
  'stripped-thread',
  'stud-came-out',
  'pipe-broke',
  'part-missing',
  'other',
] as const;
export type Trouble = (typeof TROUBLES)[number];

export const TROUBLE_WORDS: Readonly<Record<Trouble, string>> = {
  seized: 'Seized',
  rounded: 'Rounded off',
  broken: 'Broke',
  'stripped-thread': 'Thread stripped',
  'stud-came-out': 'Stud came out',
  'pipe-broke': 'Pipe broke',
  'part-missing': 'Part or tool missing',
  other: 'Something else',
};

/** What is done against a fastener that fights back, mildest first. */
export const MEANS = ['penetrant', 'heat', 'leverage', 'extractor', 'cut', 'other'] as const;
export type Means = (typeof MEANS)[number];

export const MEANS_WORDS: Readonly<Record<Means, string>> = {
  penetrant: 'Penetrant',
  heat: 'Heat',
  leverage: 'Longer lever',
  extractor: 'Extractor',
  cut: 'Cut it',
  other: 'Something else',
};

/** A step fought back: what it was, what was tried. */
export interface OperationStuck {
  readonly kind: 'operation-stuck';
  readonly operation: OperationId;
  readonly trouble: Trouble;
  readonly tried: string;
  readonly minutesLost: number;
  readonly means?: readonly Means[];
  /** How long it is left to soak before it is tried again; other work goes on. */
  readonly soakMin?: number;
}

/** One try at a step that fought back. */
export interface Struggle extends Mark {
  readonly trouble: Trouble;
  readonly tried: string;
  readonly minutesLost: number;
  readonly means?: readonly Means[];
  readonly soakMin?: number;
}

export const operationStuck: EntryRules<OperationStuck> = {
  mayFollow(state, { operation: id }) {
    const operation = state.work.operations.get(id);
    if (!operation) return unknown('step', id);
    return isSettled(state, operation) ? refuse('twice', `“${operation.title}” is finished already.`) : NOTHING;
  },
  fold(draft, { operation, trouble, tried, minutesLost, means, soakMin }, mark) {
    const struggle: Struggle = {
      trouble,
      tried,
      minutesLost,
      ...(means ? { means } : {}),
      ...(soakMin === undefined ? {} : { soakMin }),
      ...mark,
    };
    draft.progress.set(operation, { is: 'stuck', ...struggle });
    draft.struggles.set(operation, [...(draft.struggles.get(operation) ?? []), struggle]);
  },
  stop: (state, { operation }) => stopOfStep(state, operation) ?? 'strip',
  minutes: 'of-the-step',
  binds: ({ operation }) => ({ operations: [operation] }),
  words: ({ operation, trouble, tried }, { step }) => `Stuck: ${step(operation)}. ${TROUBLE_WORDS[trouble]}. ${tried}`,
};
