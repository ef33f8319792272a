import type { OpenItem } from '../../open-item.js';
import { hasRun } from '../../reading.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** A point of the warm-up was seen, or is not yet so; its words stand with it, whatever becomes of the list. */
export interface WarmUpNoted {
  readonly kind: 'warm-up-noted';
  readonly point: string;
  readonly words: string;
  readonly is: 'seen' | 'not-yet';
  readonly reading?: number;
  readonly note?: string;
}

export type WarmUpNote = Omit<WarmUpNoted, 'kind' | 'point'> & Mark;

/** What is under pressure hot, and what has to be so before it is opened. */
const OPENED = 'topped-up';
const COLD = 'cooled';

export const warmUpNoted: EntryRules<WarmUpNoted> = {
  mayFollow(state, { point, is }) {
    if (!hasRun(state)) return refuse('gate', 'It warms up once it has run.');
    return point === OPENED && is === 'seen' && state.warmUp.get(COLD)?.is !== 'seen'
      ? refuse('gate', 'The cap comes off cold: say first that it has cooled.')
      : NOTHING;
  },
  fold(draft, { point, words, is, reading, note }, mark) {
    draft.warmUp.set(point, {
      words,
      is,
      ...(reading === undefined ? {} : { reading }),
      ...(note ? { note } : {}),
      ...mark,
    });
  },
  afterHandover: true,
  stop: () => 'first-start',
  minutes: 'of-what-comes-next',
  leavesOpen: (state): readonly OpenItem[] =>
    [...state.warmUp.values()].flatMap(({ words, is, note }) =>
      is === 'seen' ? [] : [{ is: 'issue', grave: false, words: `Not yet: ${words}${note ? `. ${note}` : ''}` }],
    ),
  words: ({ words, is, reading, note }) =>
    `${is === 'seen' ? '' : 'Not yet: '}${words}${reading === undefined ? '' : `: ${reading}`}${note ? `. ${note}` : ''}`,
};
