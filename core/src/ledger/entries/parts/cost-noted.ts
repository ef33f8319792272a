import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** What else a job costs. */
export const COST_SORTS = ['tool-hire', 'machine-shop', 'fluid', 'yard-extra', 'other'] as const;
export type CostSort = (typeof COST_SORTS)[number];

export const COST_WORDS: Readonly<Record<CostSort, string>> = {
  'tool-hire': 'Tool hire',
  'machine-shop': 'Machine shop',
  fluid: 'Fluids',
  'yard-extra': 'Extras of the yard',
  other: 'Other',
};

/** Something was paid for that is no part. */
export interface CostNoted {
  readonly kind: 'cost-noted';
  readonly cost: string;
  readonly sort: CostSort;
  readonly name: string;
  readonly cents: number;
}

export interface Cost extends Mark {
  readonly sort: CostSort;
  readonly name: string;
  readonly cents: number;
}

export const costNoted: EntryRules<CostNoted> = {
  mayFollow: ({ costs }, { cost, name }) =>
    costs.has(cost) ? refuse('twice', `“${name}” is written down already.`) : NOTHING,
  fold: (draft, { cost, sort, name, cents }, mark) => void draft.costs.set(cost, { sort, name, cents, ...mark }),
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  afterHandover: true,
  words: ({ sort, name, cents }) => `${COST_WORDS[sort]}: ${name}, ${(cents / 100).toFixed(2)}`,
};
