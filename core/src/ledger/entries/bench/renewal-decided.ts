import type { Renewal } from '../../../connection-map/index.js';
import { renewalsOf } from '../../../bench/index.js';
import { operationId } from '../../../teardown/index.js';
import { decidedAtBench, mayDecide, rework, workNow } from '../../at-the-bench.js';
import { refuse, unknown } from '../../refusal.js';
import type { Draft, JobState, Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

export const WHEN_RENEWED = ['now', 'later'] as const;
export type WhenRenewed = (typeof WHEN_RENEWED)[number];

/** Things that wear are renewed while it is out, or left for another time, and why. */
export interface RenewalDecided {
  readonly kind: 'renewal-decided';
  /** One, or a set that was weighed together. */
  readonly renewals: readonly string[];
  readonly doIt: WhenRenewed;
  readonly reason?: string;
}

export interface DecidedRenewal extends Mark {
  readonly doIt: WhenRenewed;
  readonly reason?: string;
}

export const renewalDecided: EntryRules<RenewalDecided> = {
  mayFollow(state, { renewals, doIt, reason, by, at, id: entry }) {
    const stranger = renewals.find((id) => !renewalOn(state, id));
    if (stranger !== undefined) return unknown('renewal', stranger);
    if (doIt === 'later' && !reason?.trim())
      return refuse('sense', 'Say why it is left: it is read at handover, and when it fails.');
    const decided = new Map([...state.renewals, ...renewals.map((id) => [id, { doIt, by, at, entry }] as const)]);
    const refused = mayDecide(state, { renewals: decided });
    if (refused.length > 0 || doIt === 'later') return refused;
    const { unreached } = workNow({ ...state, renewals: decided }).bench;
    const [beyond] = unreached.filter(({ id }) => renewals.includes(id));
    return beyond ? refuse('sense', `The ${beyond.name} is not reached with what comes out on this plan.`) : refused;
  },
  /** What it needs goes onto the list with it, and off it again as long as nobody has asked for it. */
  fold(draft, { renewals, doIt, reason }, mark) {
    for (const id of renewals) {
      draft.renewals.set(id, { doIt, ...(reason === undefined ? {} : { reason }), ...mark });
      const one = renewalOn(draft, id);
      if (!one) continue;
      if (doIt === 'now') need(draft, one, mark);
      else needNoMore(draft, one);
    }
    rework(draft);
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ renewals }) => renewals,
  leavesOpen: (state) =>
    [...state.renewals].flatMap(([id, { doIt, reason }]) => {
      const one = doIt === 'later' ? renewalOn(state, id) : undefined;
      return one
        ? [{ is: 'left-for-later', grave: false, words: `Left for another time: the ${one.name}. ${reason ?? ''}` }]
        : [];
    }),
  words: ({ renewals, doIt, reason }, { state }) =>
    `${doIt === 'now' ? 'Renewed while it is out' : 'Left for another time'}: ${renewals.map((id) => `the ${renewalOn(state, id)?.name ?? id}`).join(', ')}${reason ? `. ${reason}` : ''}`,
};

/** What each part of a renewal is called on the shopping list. */
const needsOf = ({ id, parts }: Renewal) => parts.map((part, index) => ({ ...part, need: `${id}-${index + 1}` }));

function need(draft: Draft, renewal: Renewal, mark: Mark) {
  for (const { need: id, what, count, guideCents } of needsOf(renewal))
    if (!draft.needs.has(id))
      draft.needs.set(id, {
        need: id,
        name: what,
        quantity: count,
        reason: `For the ${renewal.name}`,
        operation: operationId.renew(renewal.id),
        guideCents,
        stage: 'needed',
        ...mark,
      });
}

function needNoMore(draft: Draft, renewal: Renewal) {
  for (const { need: id } of needsOf(renewal)) if (draft.needs.get(id)?.stage === 'needed') draft.needs.delete(id);
}

function renewalOn(state: JobState | Draft, id: string) {
  return renewalsOf(state.plan, decidedAtBench(state)).find((one) => one.id === id);
}
