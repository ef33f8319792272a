import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Where something that is bought has come to. */
export const PART_STAGES = ['needed', 'asked', 'ordered', 'arrived', 'wrong', 'fitted', 'returned'] as const;
export type PartStage = (typeof PART_STAGES)[number];

export const STAGE_WORDS: Readonly<Record<PartStage, string>> = {
  needed: 'needed',
  asked: 'asked for',
  ordered: 'ordered',
  arrived: 'here',
  wrong: 'wrong: goes back',
  fitted: 'fitted',
  returned: 'sent back',
};

/** Where it may go from each. */
export const NEXT_STAGES: Readonly<Record<PartStage, readonly PartStage[]>> = {
  needed: ['asked', 'ordered', 'arrived'],
  asked: ['ordered', 'arrived', 'needed'],
  ordered: ['arrived', 'needed'],
  arrived: ['fitted', 'wrong', 'returned'],
  wrong: ['returned', 'arrived'],
  fitted: ['arrived'],
  returned: ['needed', 'ordered'],
};

/** Something that is bought has come one stage on. */
export interface PartMovedOn {
  readonly kind: 'part-moved-on';
  readonly need: string;
  readonly to: PartStage;
  /** The day it is expected, where it was ordered. */
  readonly expectedOn?: string;
  readonly note?: string;
}

export const partMovedOn: EntryRules<PartMovedOn> = {
  mayFollow({ needs }, { need, to, expectedOn, at, note }) {
    const part = needs.get(need);
    if (!part) return unknown('part', need);
    if (part.stage === to) return refuse('twice', `“${part.name}” is ${STAGE_WORDS[to]} already.`);
    if (!NEXT_STAGES[part.stage].includes(to))
      return refuse(
        'order',
        `“${part.name}” is ${STAGE_WORDS[part.stage]}; it cannot be ${STAGE_WORDS[to]} from there.`,
      );
    if (expectedOn !== undefined && expectedOn < at.slice(0, 10))
      return refuse('sense', 'The day it is expected is over already. Write one that is to come.');
    return to === 'wrong' && !note?.trim() ? refuse('sense', 'Say what is wrong with it: the counter asks.') : NOTHING;
  },
  fold(draft, { need, to, expectedOn, note }, mark) {
    const part = draft.needs.get(need);
    if (!part) return;
    const { arrived: _arrived, expectedOn: expected, ...rest } = part;
    const day = expectedOn ?? (to === 'ordered' ? undefined : expected);
    draft.needs.set(need, {
      ...rest,
      stage: to,
      ...(day === undefined ? {} : { expectedOn: day }),
      ...(note === undefined ? {} : { note }),
      ...(to === 'arrived' || to === 'fitted' ? { arrived: part.arrived ?? mark } : {}),
    });
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  words: ({ need, to, note }, { state }) =>
    `${state.needs.get(need)?.name ?? 'A part'}: ${STAGE_WORDS[to]}${note ? `. ${note}` : ''}`,
};
