import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** When the warnings were read: before the job began, or since. */
export const WHEN_READ = ['before', 'since'] as const;

/** What a tester or the lamps said, one warning a line. */
export interface CodesRead {
  readonly kind: 'codes-read';
  readonly when: (typeof WHEN_READ)[number];
  readonly warnings: readonly string[];
  /** The battery’s volts when they came up, where they are known. */
  readonly volts?: number;
}

export type ReadCodes = Omit<CodesRead, 'kind'> & Mark;

export const codesRead: EntryRules<CodesRead> = {
  mayFollow: (state, { when }) =>
    when === 'before' && state.attempts.length > 0
      ? refuse('order', 'It was cranked already: what is read now is no scan from before the job.')
      : NOTHING,
  fold: (draft, { when, warnings, volts }, mark) =>
    void draft.codes.push({ when, warnings, ...(volts === undefined ? {} : { volts }), ...mark }),
  stop: (_, { when }) => (when === 'before' ? 'survey' : 'first-start'),
  minutes: 'of-what-comes-next',
  words: ({ when, warnings, volts }) =>
    `${warnings.length === 0 ? 'No warning' : warnings.join('; ')}, read ${when === 'before' ? 'before the job' : 'since'}${
      volts === undefined ? '' : ` at ${volts} V`
    }`,
};
