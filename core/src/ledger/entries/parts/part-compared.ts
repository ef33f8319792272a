import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** One thing that was held against the old part. */
export interface Compared {
  readonly what: string;
  readonly same: boolean;
  readonly note?: string;
}

/** What came was held against the old part before anybody needs it; what is not the same makes it wrong. */
export interface PartCompared {
  readonly kind: 'part-compared';
  readonly need: string;
  readonly compared: readonly Compared[];
}

export const partCompared: EntryRules<PartCompared> = {
  mayFollow({ needs }, { need }) {
    const part = needs.get(need);
    if (!part) return unknown('part', need);
    return part.stage === 'arrived' || part.stage === 'wrong'
      ? NOTHING
      : refuse('order', `“${part.name}” is not here yet: there is nothing to hold against the old one.`);
  },
  fold(draft, { need, compared }, mark) {
    const part = draft.needs.get(need);
    if (!part) return;
    const { arrived, ...rest } = part;
    const unlike = compared.filter(({ same }) => !same);
    draft.needs.set(need, {
      ...rest,
      compared,
      stage: unlike.length > 0 ? 'wrong' : 'arrived',
      ...(unlike.length > 0
        ? { note: unlike.map(({ what, note }) => `${what}${note ? `: ${note}` : ''}`).join('; ') }
        : { arrived: arrived ?? mark }),
    });
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  words({ need, compared }, { state }) {
    const unlike = compared.filter(({ same }) => !same).map(({ what, note }) => `${what}${note ? ` (${note})` : ''}`);
    const name = state.needs.get(need)?.name ?? 'A part';
    return unlike.length === 0 ? `${name}: like the old one` : `${name}: not like the old one in ${unlike.join(', ')}`;
  },
};
