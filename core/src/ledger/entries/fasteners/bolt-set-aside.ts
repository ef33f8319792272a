import type { EntryRules } from '../entry-rules.js';
import { stillLoose } from './still-loose.js';

/** A loose fastener belongs to none of the homes of this job. */
export interface BoltSetAside {
  readonly kind: 'bolt-set-aside';
  readonly bolt: string;
  readonly reason: string;
}

export const boltSetAside: EntryRules<BoltSetAside> = {
  mayFollow: (state, { bolt }) => stillLoose(state, bolt),
  fold(draft, { bolt: id, reason }, mark) {
    const bolt = draft.loose.get(id);
    if (bolt) draft.loose.set(id, { ...bolt, aside: { reason, ...mark } });
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: ({ reason }) => `A loose one set aside: ${reason}`,
};
