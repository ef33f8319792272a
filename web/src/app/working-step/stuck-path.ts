import { readFastener } from '@brisk/core/fasteners';
import { setsOf, type EntryBody, type JobState, type Trouble } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';

/** What the sheet is opened with. */
export interface StuckAsked {
  readonly state: JobState;
  readonly operation: Operation;
  /** Minutes at the step so far, by the clock. */
  readonly minutes: number;
}

/** What is to be recorded. */
export interface StuckTold {
  readonly bodies: readonly EntryBody[];
}

/** Something it takes to go on. */
export interface Wanted {
  readonly name: string;
  readonly quantity: number;
}

/** What a trouble usually asks for: the fastener anew, and what gets the old one out or mends the hole. */
export function usuallyWanted(state: JobState, operation: Operation, trouble: Trouble): readonly Wanted[] {
  const sets = operation.connection === undefined ? [] : setsOf(state, operation.connection);
  const [first] = sets;
  const thread = first && readFastener(first.what).thread?.name;
  const anew: readonly Wanted[] = first ? [{ name: first.what, quantity: 1 }] : [];
  switch (trouble) {
    case 'rounded':
    case 'broken':
      return [...anew, { name: thread ? `Extractor for ${thread}` : 'Extractor', quantity: 1 }];
    case 'stripped-thread':
      return [...anew, { name: thread ? `Thread insert ${thread}` : 'Thread insert', quantity: 1 }];
    case 'stud-came-out':
      return [{ name: thread ? `Stud ${thread}` : 'Stud', quantity: 1 }, ...anew];
    case 'pipe-broke': {
      const connection = state.work.connections.get(operation.connection ?? '');
      return [{ name: `Pipe: ${connection?.name.replace(/^the /, '') ?? operation.title}`, quantity: 1 }];
    }
    case 'seized':
    case 'part-missing':
    case 'other':
      return [];
  }
}

/** How long penetrant is usually given, in minutes, and the words for it. */
export const SOAKS = [
  { minutes: 0, words: 'Not at all' },
  { minutes: 15, words: '15 min' },
  { minutes: 30, words: '30 min' },
  { minutes: 60, words: '1 h' },
  { minutes: 720, words: 'Over night' },
] as const;
