import { NOTHING } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** What the crew reckons with at the bench: how long it should stay in this time, and what may be spent on it. */
export interface TermsSet {
  readonly kind: 'terms-set';
  readonly yearsIn: number;
  /** How far the machine goes in a year. */
  readonly kmPerYear?: number;
  readonly budgetCents?: number;
  readonly budgetHours?: number;
}

export type Terms = Omit<TermsSet, 'kind'> & Mark;

export const termsSet: EntryRules<TermsSet> = {
  mayFollow: () => NOTHING,
  fold(draft, { yearsIn, kmPerYear, budgetCents, budgetHours }, mark) {
    draft.terms = {
      yearsIn,
      ...(kmPerYear === undefined ? {} : { kmPerYear }),
      ...(budgetCents === undefined ? {} : { budgetCents }),
      ...(budgetHours === undefined ? {} : { budgetHours }),
      ...mark,
    };
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: () => ['terms'],
  words: ({ yearsIn, budgetHours }) =>
    `Reckoned with ${yearsIn} years until the next time out${budgetHours === undefined ? '' : `, and ${budgetHours} h to spend`}`,
};
