import { NOTHING } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** What was wrong, and what was done about it: the trouble is closed with it. */
export interface CauseFound {
  readonly kind: 'cause-found';
  /** The cause of the list, or `other`. */
  readonly cause: string;
  readonly name: string;
  readonly mended: string;
}

export type FoundCause = Omit<CauseFound, 'kind'> & Mark;

export const causeFound: EntryRules<CauseFound> = {
  mayFollow: () => NOTHING,
  fold: (draft, { cause, name, mended }, mark) => void draft.causesFound.push({ cause, name, mended, ...mark }),
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  words: ({ name, mended }) => `It was: ${name}. ${mended}`,
};
