import { renewalsOf } from '../../../bench/index.js';
import { several } from '../../../words/index.js';
import { decidedAtBench } from '../../at-the-bench.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** How long somebody who looked at it gives something that wears, in years. */
export interface LifeGuessed {
  readonly kind: 'life-guessed';
  readonly renewal: string;
  readonly yearsLeft: number;
}

export const lifeGuessed: EntryRules<LifeGuessed> = {
  mayFollow: (state, { renewal }) =>
    renewalsOf(state.plan, decidedAtBench(state)).some(({ id }) => id === renewal)
      ? NOTHING
      : unknown('renewal', renewal),
  fold: (draft, { renewal, yearsLeft }, mark) => void draft.lives.set(renewal, { yearsLeft, ...mark }),
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  words: ({ renewal, yearsLeft }, { state }) =>
    `The ${renewalsOf(state.plan, decidedAtBench(state)).find(({ id }) => id === renewal)?.name ?? renewal} is given ${several(yearsLeft, 'year')} more`,
};
