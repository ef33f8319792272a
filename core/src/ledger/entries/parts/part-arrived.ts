import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Something that was needed is here. */
export interface PartArrived {
  readonly kind: 'part-arrived';
  readonly need: string;
}

export const partArrived: EntryRules<PartArrived> = {
  mayFollow({ needs }, { need }) {
    const part = needs.get(need);
    if (!part) return unknown('part', need);
    return part.arrived ? refuse('twice', `“${part.name}” has arrived already.`) : NOTHING;
  },
  fold(draft, { need }, mark) {
    const part = draft.needs.get(need);
    if (part) draft.needs.set(need, { ...part, stage: 'arrived', arrived: mark });
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  words: ({ need }, { state }) => `Arrived: ${state.needs.get(need)?.name ?? 'a part'}`,
};
