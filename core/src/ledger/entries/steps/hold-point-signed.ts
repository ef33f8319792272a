import type { HoldPointId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { gateOf, holdPointName } from '../../gates.js';
import { holding } from '../../reading.js';
import { NOTHING, refuse } from '../../refusal.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** Somebody looked at everything a gate asks for, and lets the work go on. */
export interface HoldPointSigned {
  readonly kind: 'hold-point-signed';
  readonly holdPoint: HoldPointId;
  readonly confirmed: readonly string[];
}

export const holdPointSigned: EntryRules<HoldPointSigned> = {
  mayFollow(state, { holdPoint, confirmed, by }) {
    const gate = gateOf(state, holdPoint);
    if (gate.signed) return refuse('twice', `“${gate.holdPoint.name}” is signed already.`);
    const held = holdPoint === 'pre-lift' ? holding(state) : [];
    if (held.length > 0)
      return refuse(
        'holding',
        `${held.length} still hold it: ${held.map(({ connection }) => connection.name).join(', ')}.`,
      );
    const { length } = gate.blockers;
    const [first] = gate.blockers;
    if (first)
      return refuse('gate', `${length} ${length === 1 ? 'step is' : 'steps are'} missing; first: ${first.words}.`);
    if (gate.firstOfTwo?.by === by)
      return refuse('gate', `${by} has signed as the first of two. Somebody else looks and signs.`);
    const missing = gate.holdPoint.confirmations.find(({ id }) => !confirmed.includes(id));
    return missing ? refuse('gate', `Not confirmed: ${missing.words}.`) : NOTHING;
  },
  fold(draft, { holdPoint }, mark) {
    if (draft.twoSign.has(holdPoint) && !draft.firstSigned.has(holdPoint)) draft.firstSigned.set(holdPoint, mark);
    else draft.progress.set(operationId.hold(holdPoint), { is: 'done', ...mark });
  },
  stop: (state, { holdPoint }) => stopOfStep(state, operationId.hold(holdPoint)) ?? 'strip',
  minutes: 'by-itself',
  binds: ({ holdPoint }) => ({ operations: [operationId.hold(holdPoint)] }),
  words: ({ holdPoint }, { state }) => `Signed: ${holdPointName(state, holdPoint)}`,
};
