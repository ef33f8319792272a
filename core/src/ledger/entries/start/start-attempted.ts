import {
  ATTEMPT_PURPOSE_WORDS,
  RESULT_WORDS,
  type AttemptPurpose,
  type StartAttempt,
  type StartResult,
} from '../../../first-start/index.js';
import type { KeptBurst } from '../../../instrument/index.js';
import { operationId } from '../../../teardown/index.js';
import { carrying, isDone } from '../../reading.js';
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
  /** What it was cranked for; absent: to start it. */
  readonly purpose?: AttemptPurpose;
  readonly note?: string;
  /** What a bench box read of it. */
  readonly read?: KeptBurst;
}

/** One attempt as it is remembered, with what whoever cranked saw and heard. */
export interface Attempt extends StartAttempt, Mark {
  readonly note?: string;
  readonly read?: KeptBurst;
}

export const startAttempted: EntryRules<StartAttempted> = {
  mayFollow(state, { voltsBefore, voltsLowest, purpose, result }) {
    // To start it is the hold point’s to say, as it was before there were purposes: ledgers from then stand.
    if (purpose !== undefined && carrying(state).length > 0)
      return refuse('gate', 'Its weight is on the lifting gear: it is down and bolted in before anybody cranks.');
    if (purpose === undefined && !isDone(state, operationId.hold('pre-start')))
      return refuse('gate', 'The pre-start hold point is signed before anybody cranks.');
    if (purpose !== undefined && result !== 'no-crank' && result !== 'cranks')
      return refuse('sense', 'Cranked for oil it does not fire. If it did, it was an attempt to start.');
    return voltsLowest > voltsBefore
      ? refuse('sense', 'The lowest volts while cranking cannot be above the volts before.')
      : NOTHING;
  },
  fold: (draft, { voltsBefore, voltsLowest, crankSeconds, result, purpose, note, read }, mark) =>
    void draft.attempts.push({
      voltsBefore,
      voltsLowest,
      crankSeconds,
      result,
      ...(purpose ? { purpose } : {}),
      ...(note ? { note } : {}),
      ...(read ? { read } : {}),
      ...mark,
    }),
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  words: ({ crankSeconds, result, purpose, note }) =>
    `Cranked ${crankSeconds} s${purpose ? ` ${ATTEMPT_PURPOSE_WORDS[purpose]}` : ''}: ${RESULT_WORDS[result].toLowerCase()}${note ? `. ${note}` : ''}`,
};
