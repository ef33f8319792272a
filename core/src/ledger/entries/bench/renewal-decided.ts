import { renewalsOf } from '../../../bench/index.js';
import { operationId } from '../../../teardown/index.js';
import { decidedAtBench, mayDecide, workNow } from '../../at-the-bench.js';
import { refuse, unknown } from '../../refusal.js';
import type { Draft, JobState, Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

export const WHEN_RENEWED = ['now', 'later'] as const;
export type WhenRenewed = (typeof WHEN_RENEWED)[number];

/** Something that wears is renewed while it is out, or is left for another time, and why. */
export interface RenewalDecided {
  readonly kind: 'renewal-decided';
  readonly renewal: string;
  readonly doIt: WhenRenewed;
  readonly reason?: string;
}

export interface DecidedRenewal extends Mark {
  readonly doIt: WhenRenewed;
  readonly reason?: string;
}

export const renewalDecided: EntryRules<RenewalDecided> = {
  mayFollow(state, { renewal, doIt, reason, by, at, id: entry }) {
    const one = renewalOn(state, renewal);
    if (!one) return unknown('renewal', renewal);
    if (doIt === 'later' && !reason?.trim())
      return refuse('sense', 'Say why it is left: it is read at handover, and when it fails.');
    const renewals = new Map([...state.renewals, [renewal, { doIt, by, at, entry }] as const]);
    const refused = mayDecide(state, { renewals });
    if (refused.length > 0 || doIt === 'later') return refused;
    const reached = workNow({ ...state, renewals }).bench.renewed.some(({ id }) => id === renewal);
    return reached ? refused : refuse('sense', `The ${one.name} is not reached with what comes out on this plan.`);
  },
  /** What it needs goes onto the list with it, and off it again as long as nobody has asked for it. */
  fold(draft, { renewal, doIt, reason }, mark) {
    draft.renewals.set(renewal, { doIt, ...(reason === undefined ? {} : { reason }), ...mark });
    draft.work = workNow(draft);
    const one = renewalOn(draft, renewal);
    one?.parts.forEach(({ what, count, guideCents }, index) => {
      const need = `${renewal}-${index + 1}`;
      const before = draft.needs.get(need);
      if (doIt === 'later') {
        if (before?.stage === 'needed') draft.needs.delete(need);
      } else if (!before)
        draft.needs.set(need, {
          need,
          name: what,
          quantity: count,
          reason: `For the ${one.name}`,
          operation: operationId.renew(renewal),
          guideCents,
          stage: 'needed',
          ...mark,
        });
    });
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  leavesOpen: (state) =>
    [...state.renewals].flatMap(([id, { doIt, reason }]) => {
      const one = doIt === 'later' ? renewalOn(state, id) : undefined;
      return one
        ? [{ is: 'left-for-later', grave: false, words: `Left for another time: the ${one.name}. ${reason ?? ''}` }]
        : [];
    }),
  words: ({ renewal, doIt, reason }, { state }) =>
    `${doIt === 'now' ? 'Renewed while it is out' : 'Left for another time'}: the ${renewalOn(state, renewal)?.name ?? renewal}${reason ? `. ${reason}` : ''}`,
};

function renewalOn(state: JobState | Draft, id: string) {
  return renewalsOf(state.work.plan, decidedAtBench(state)).find((one) => one.id === id);
}
