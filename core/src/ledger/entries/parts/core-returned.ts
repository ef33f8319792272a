import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** The old part went back for its core charge. */
export interface CoreReturned {
  readonly kind: 'core-returned';
  readonly need: string;
}

export const coreReturned: EntryRules<CoreReturned> = {
  mayFollow({ needs }, { need }) {
    const part = needs.get(need);
    if (!part) return unknown('part', need);
    if (part.coreReturned)
      return refuse('twice', `The old part of “${part.name}” went back already, by ${part.coreReturned.by}.`);
    return part.coreChargeCents === undefined
      ? refuse('sense', `No core charge is written down for “${part.name}”.`)
      : NOTHING;
  },
  fold(draft, { need }, mark) {
    const part = draft.needs.get(need);
    if (part) draft.needs.set(need, { ...part, coreReturned: mark });
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  afterHandover: true,
  leavesOpen: ({ needs }, day) =>
    [...needs.values()].flatMap(({ name, coreChargeCents, coreReturned: back, coreDueOn, stage }) =>
      coreChargeCents !== undefined && !back && ['arrived', 'fitted'].includes(stage)
        ? [
            {
              is: 'part',
              grave: false,
              words: `Old part of “${name}” is to go back for its core charge${coreDueOn === undefined ? '' : `, by ${day(coreDueOn)}`}`,
            },
          ]
        : [],
    ),
  words: ({ need }, { state }) => `Old part went back: ${state.needs.get(need)?.name ?? 'a part'}`,
};
