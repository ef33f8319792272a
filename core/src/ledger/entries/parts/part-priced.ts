import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** What is known of something to be bought: from whom, by which number, what it costs, what comes back for the old one. */
export interface PartPriced {
  readonly kind: 'part-priced';
  readonly need: string;
  readonly supplier?: string;
  readonly number?: string;
  /** Each, in hundredths of the shop’s money. */
  readonly priceCents?: number;
  /** Each, paid on top until the old part is back, and by which day that has to be. */
  readonly coreChargeCents?: number;
  readonly coreDueOn?: string;
  readonly leadDays?: number;
}

export const partPriced: EntryRules<PartPriced> = {
  mayFollow({ needs }, { need, coreDueOn, at }) {
    if (!needs.has(need)) return unknown('part', need);
    return coreDueOn !== undefined && coreDueOn < at.slice(0, 10)
      ? refuse('sense', 'The day by which the old part has to be back is over. Write one that is to come.')
      : NOTHING;
  },
  fold(draft, { need, supplier, number, priceCents, coreChargeCents, coreDueOn, leadDays }) {
    const part = draft.needs.get(need);
    if (!part) return;
    const said = { supplier, number, priceCents, coreChargeCents, coreDueOn, leadDays };
    const known = Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined));
    draft.needs.set(need, { ...part, ...known });
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ need }) => [need],
  words: ({ need, supplier, priceCents }, { state }) =>
    `${state.needs.get(need)?.name ?? 'A part'}${supplier === undefined ? '' : ` from ${supplier}`}${priceCents === undefined ? '' : ` at ${(priceCents / 100).toFixed(2)}`}`,
};
