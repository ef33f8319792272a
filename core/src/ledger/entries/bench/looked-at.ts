import { LOOKS } from '../../../inspection/index.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** One look at the unit on the stand, and what was found. */
export interface LookedAt {
  readonly kind: 'looked-at';
  readonly look: string;
  readonly finding: string;
  readonly note?: string;
}

export interface Finding extends Mark {
  readonly finding: string;
  readonly note?: string;
}

export const lookedAt: EntryRules<LookedAt> = {
  mayFollow(_state, { look, finding }) {
    const one = LOOKS.find(({ id }) => id === look);
    if (!one) return unknown('look', look);
    return one.answers.some(({ id }) => id === finding) ? NOTHING : unknown('finding', finding);
  },
  fold: (draft, { look, finding, note }, mark) =>
    void draft.findings.set(look, { finding, ...(note === undefined ? {} : { note }), ...mark }),
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ look }) => [look],
  leavesOpen: ({ findings }) =>
    [...findings].flatMap(([id, { finding, note }]) => {
      const look = LOOKS.find((one) => one.id === id);
      const answer = look?.answers.find((one) => one.id === finding);
      return look && answer?.grade === 2
        ? [
            {
              is: 'look-at',
              grave: false,
              words: `Seen at the bench: ${look.what.toLowerCase()}: ${answer.words.toLowerCase()}${note ? `. ${note}` : ''}`,
            },
          ]
        : [];
    }),
  words({ look, finding, note }) {
    const one = LOOKS.find(({ id }) => id === look);
    const answer = one?.answers.find(({ id }) => id === finding);
    return `${one?.what ?? look}: ${answer?.words.toLowerCase() ?? finding}${note ? `. ${note}` : ''}`;
  },
};
