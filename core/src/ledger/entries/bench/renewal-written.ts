import type { Renewal } from '../../../connection-map/index.js';
import { renewalsOf } from '../../../bench/index.js';
import { decidedAtBench, mayDecide, rework } from '../../at-the-bench.js';
import { refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Something this crew wants to be able to renew or repair while it is out, that the map does not know. */
export interface RenewalWritten {
  readonly kind: 'renewal-written';
  readonly renewal: Renewal;
}

export const renewalWritten: EntryRules<RenewalWritten> = {
  mayFollow(state, { renewal }) {
    const { map } = state.work.plan;
    if (renewalsOf(state.plan, decidedAtBench(state)).some(({ id }) => id === renewal.id))
      return refuse('twice', `“${renewal.name}” is on the list already.`);
    if (!map.parts.some(({ id }) => id === renewal.at)) return unknown('part', renewal.at);
    for (const need of renewal.reach) {
      const named =
        'open' in need ? [] : 'parted' in need ? need.parted : 'removed' in need ? [need.removed] : [need.out];
      const stranger = named.find((part) => !map.parts.some(({ id }) => id === part));
      if (stranger !== undefined) return unknown('part', stranger);
      if ('open' in need && !state.work.connections.has(need.open)) return unknown('connection', need.open);
      if ('parted' in need && need.parted[0] === need.parted[1])
        return refuse('sense', 'It takes two units to be drawn apart.');
    }
    const { low, likely, high } = renewal.minutes;
    if (!(low > 0 && low <= likely && likely <= high))
      return refuse('sense', 'Its minutes have to rise: when it goes well, as a rule, when it fights back.');
    return mayDecide(state, { ownRenewals: new Map([...state.ownRenewals, [renewal.id, renewal]]) });
  },
  fold(draft, { renewal }) {
    draft.ownRenewals.set(renewal.id, renewal);
    rework(draft);
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ renewal }) => [renewal.id],
  words: ({ renewal }) => `Put up for now or later: the ${renewal.name}`,
};
