import { renewalsOf } from '../../../bench/index.js';
import { several } from '../../../words/index.js';
import { decidedAtBench } from '../../at-the-bench.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** How long somebody who looked at it gives something that wears. */
export interface LifeGuessed {
  readonly kind: 'life-guessed';
  readonly renewal: string;
  readonly yearsLeft: number;
  /** Where it was said in kilometres: the years follow from how far the machine goes in one. */
  readonly kmLeft?: number;
}

export const lifeGuessed: EntryRules<LifeGuessed> = {
  mayFollow: (state, { renewal }) =>
    renewalsOf(state.plan, decidedAtBench(state)).some(({ id }) => id === renewal)
      ? NOTHING
      : unknown('renewal', renewal),
  fold: (draft, { renewal, yearsLeft, kmLeft }, mark) =>
    void draft.lives.set(renewal, { yearsLeft, ...(kmLeft === undefined ? {} : { kmLeft }), ...mark }),
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ renewal }) => [renewal],
  words: ({ renewal, yearsLeft, kmLeft }, { state }) =>
    `The ${renewalsOf(state.plan, decidedAtBench(state)).find(({ id }) => id === renewal)?.name ?? renewal} is given ${kmLeft === undefined ? several(yearsLeft, 'year') : `${kmLeft} km`} more`,
};
