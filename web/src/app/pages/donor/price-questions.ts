import { string } from 'yup';
import type { Answers, Question } from '../../ui/asking';
import { centsOf, money } from '../../words/money';

/** What something costs, and what is paid on top until the old one is returned; in whole cents. */
export interface Prices {
  readonly priceCents?: number;
  readonly coreChargeCents?: number;
}

/** Asks for a price and a core charge; both may be left empty. */
export function priceQuestions(before: Prices): readonly Question[] {
  const ask = (field: string, label: string, cents: number | undefined, hint?: string): Question => ({
    field,
    label,
    as: 'line',
    schema: string()
      .test('money', 'A price such as 980 or 980.50, or nothing.', (typed) => !typed || centsOf(typed) !== undefined)
      .label(label),
    ...(hint === undefined ? {} : { hint }),
    ...(cents === undefined ? {} : { initial: money(cents) }),
  });
  return [
    ask('price', 'Price', before.priceCents),
    ask('core', 'Core charge on top', before.coreChargeCents, 'Comes back when the old one is returned'),
  ];
}

/** The prices somebody gave. */
export function pricesIn(answers: Answers): Prices {
  const priceCents = centsOf(String(answers['price'] ?? ''));
  const coreChargeCents = centsOf(String(answers['core'] ?? ''));
  return {
    ...(priceCents === undefined ? {} : { priceCents }),
    ...(coreChargeCents === undefined ? {} : { coreChargeCents }),
  };
}
