import { RESULT_WORDS, type StartAttempt, type StartResult } from '../../../first-start/index.js';
import { operationId } from '../../../teardown/index.js';
import { isDone } from '../../reading.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Somebody cranked. */
export interface StartAttempted {
  readonly kind: 'start-attempted';
  readonly voltsBefore: number;
  readonly voltsLowest: number;
  readonly crankSeconds: number;
  readonly result: StartResult;
  readonly note?: string;
}

/** One attempt as it is remembered, with what whoever cranked saw and heard. */
export interface Attempt extends StartAttempt, Mark {
  readonly note?: string;
}

export const startAttempted: EntryRules<StartAttempted> = {
  mayFollow(state, { voltsBefore, voltsLowest }) {
    if (!isDone(state, operationId.hold('pre-start')))
      return refuse('gate', 'The pre-start hold point is signed before anybody cranks.');
    return voltsLowest > voltsBefore
      ? refuse('sense', 'The lowest volts while cranking cannot be above the volts before.')
      : NOTHING;
  },
  fold: (draft, { voltsBefore, voltsLowest, crankSeconds, result, note }, mark) =>
    void draft.attempts.push({ voltsBefore, voltsLowest, crankSeconds, result, ...(note ? { note } : {}), ...mark }),
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  words: ({ crankSeconds, result, note }) =>
    `Cranked ${crankSeconds} s: ${RESULT_WORDS[result].toLowerCase()}${note ? `. ${note}` : ''}`,
};
