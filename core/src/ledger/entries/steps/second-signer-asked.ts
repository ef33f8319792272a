import type { HoldPointId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { holdPointName } from '../../gates.js';
import { NOTHING, refuse } from '../../refusal.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** Two people look and sign at a hold point, or one is enough again. */
export interface SecondSignerAsked {
  readonly kind: 'second-signer-asked';
  readonly holdPoint: HoldPointId;
  readonly asked: boolean;
}

export const secondSignerAsked: EntryRules<SecondSignerAsked> = {
  mayFollow(state, { holdPoint, asked }) {
    const name = `“${holdPointName(state, holdPoint)}”`;
    if (state.progress.get(operationId.hold(holdPoint))?.is === 'done')
      return refuse('twice', `${name} is signed already.`);
    const first = state.firstSigned.get(holdPoint);
    if (first) return refuse('gate', `${first.by} has signed ${name} as the first of two. Take that back first.`);
    return state.twoSign.has(holdPoint) === asked
      ? refuse('twice', `${name} is signed by ${asked ? 'two' : 'one'} already.`)
      : NOTHING;
  },
  fold(draft, { holdPoint, asked }) {
    if (asked) draft.twoSign.add(holdPoint);
    else draft.twoSign.delete(holdPoint);
  },
  stop: (state, { holdPoint }) => stopOfStep(state, operationId.hold(holdPoint)) ?? 'strip',
  minutes: 'of-what-comes-next',
  fills: ({ holdPoint }) => [holdPoint],
  words: ({ holdPoint, asked }, { state }) =>
    `${asked ? 'Two sign' : 'One is enough'} at: ${holdPointName(state, holdPoint)}`,
};
