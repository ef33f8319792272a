import type { OperationId } from '../../../teardown/index.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';
import type { Compared } from './part-compared.js';
import type { PartStage } from './part-moved-on.js';

/** Something has to be bought or fetched. */
export interface PartNeeded {
  readonly kind: 'part-needed';
  readonly need: string;
  readonly name: string;
  readonly quantity: number;
  readonly reason: string;
  /** The step that asks for it. */
  readonly operation?: OperationId;
}

export interface PartToOrder extends Mark {
  readonly need: string;
  readonly name: string;
  readonly quantity: number;
  readonly reason: string;
  readonly operation?: OperationId;
  readonly stage: PartStage;
  /** About what one costs, where nobody has a price yet. */
  readonly guideCents?: number;
  readonly supplier?: string;
  readonly number?: string;
  readonly priceCents?: number;
  readonly coreChargeCents?: number;
  readonly coreDueOn?: string;
  readonly leadDays?: number;
  readonly expectedOn?: string;
  readonly note?: string;
  readonly compared?: readonly Compared[];
  readonly coreReturned?: Mark;
  readonly arrived?: Mark;
}

export const partNeeded: EntryRules<PartNeeded> = {
  mayFollow({ needs, work }, { need, name, operation }) {
    if (operation !== undefined && !work.operations.has(operation)) return unknown('step', operation);
    return needs.has(need) ? refuse('twice', `“${name}” is on the list already.`) : NOTHING;
  },
  fold: (draft, { need, name, quantity, reason, operation }, mark) =>
    void draft.needs.set(need, {
      need,
      name,
      quantity,
      reason,
      stage: 'needed',
      ...(operation ? { operation } : {}),
      ...mark,
    }),
  stop: (state, { operation }) => stopOfStep(state, operation) ?? 'bench',
  minutes: 'of-what-comes-next',
  leavesOpen: ({ needs }) =>
    [...needs.values()].flatMap(({ name, quantity, arrived, stage }) =>
      arrived || stage === 'returned'
        ? []
        : [{ is: 'part', grave: false, words: `Not arrived: ${quantity} × ${name}` }],
    ),
  words: ({ name, quantity }) => `To order: ${quantity} × ${name}`,
};
