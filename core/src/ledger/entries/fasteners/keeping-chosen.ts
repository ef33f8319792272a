import { NOTHING } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Where fasteners are kept while they are out. */
export const KEEPINGS = ['bag', 'hole', 'row', 'card'] as const;
export type Keeping = (typeof KEEPINGS)[number];

export const KEEPING_WORDS: Readonly<Record<Keeping, string>> = {
  bag: 'In a bag',
  hole: 'Back in its hole',
  row: 'In the row',
  card: 'On the bolt card',
};

/** From now on this job’s fasteners are kept so, unless somebody says otherwise at a step. */
export interface KeepingChosen {
  readonly kind: 'keeping-chosen';
  readonly keeping: Keeping;
}

export const keepingChosen: EntryRules<KeepingChosen> = {
  mayFollow: () => NOTHING,
  fold: (draft, { keeping }) => void (draft.keeping = keeping),
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  fills: () => ['keeping'],
  words: ({ keeping }) => `Fasteners are kept: ${KEEPING_WORDS[keeping].toLowerCase()}`,
};
