import { optionalAmount, optionalPositive, positive } from '@brisk/contracts/fields';
import { ratesSchema } from '@brisk/contracts/rates';
import { USUAL_RATES, type Rates } from '@brisk/core/economics';
import type { Terms } from '@brisk/core/ledger';
import { reach } from 'yup';
import type { Answers, Asking } from '../../ui/asking';
import type { Schema } from 'yup';

const whole = (cents: number) => cents / 100;
const MOST_MONEY = 1_000_000;

/** What now and later are reckoned with: the years, the limits of this job, and the rates of the shop. */
export function termsAsking(yearsIn: number, terms: Partial<Terms> | undefined, rates: Rates): Asking {
  const money = (field: string, label: string, cents: number) => ({
    field,
    label,
    as: 'amount' as const,
    schema: positive(MOST_MONEY).label(label),
    initial: whole(cents),
    suffix: rates.currency,
  });
  return {
    title: 'What is reckoned with',
    questions: [
      {
        field: 'yearsIn',
        label: 'Years it should stay in this time',
        as: 'amount',
        schema: positive(50).label('Years'),
        initial: yearsIn,
      },
      {
        field: 'kmPerYear',
        label: 'How far it goes in a year, if that is known',
        as: 'amount',
        schema: optionalPositive(1_000_000).label('How far it goes'),
        ...(terms?.kmPerYear === undefined ? {} : { initial: terms.kmPerYear }),
        suffix: 'km',
      },
      {
        field: 'budget',
        label: 'To spend on parts, empty for no limit',
        as: 'amount',
        schema: optionalAmount(MOST_MONEY).label('To spend'),
        ...(terms?.budgetCents === undefined ? {} : { initial: whole(terms.budgetCents) }),
        suffix: rates.currency,
      },
      {
        field: 'hours',
        label: 'Hours of work, empty for no limit',
        as: 'amount',
        schema: optionalAmount(10_000).label('Hours'),
        ...(terms?.budgetHours === undefined ? {} : { initial: terms.budgetHours }),
        suffix: 'h',
      },
      {
        field: 'currency',
        label: 'The shop’s money, three letters',
        as: 'line',
        schema: reach(ratesSchema, 'currency') as Schema,
        initial: rates.currency,
      },
      money('hour', 'An hour of one person', rates.hourCents),
      money('litre', 'A litre of what is filled', rates.litreCents),
      money('fastener', 'A fastener that is new every time', rates.fastenerCents),
      money('day', 'A day on which the machine stands', rates.dayCents ?? USUAL_RATES.dayCents),
    ],
    action: 'Reckon with this',
  };
}

const cents = (answer: string | number | undefined) => Math.round(Number(answer) * 100);
const given = (answer: string | number | undefined) => answer !== undefined && answer !== '';

/** The shop’s rates as they were answered. */
export function ratesIn({ currency, hour, litre, fastener, day }: Answers): Rates {
  return {
    currency: String(currency),
    hourCents: cents(hour),
    litreCents: cents(litre),
    fastenerCents: cents(fastener),
    dayCents: cents(day),
  };
}

/** The job’s terms as they were answered. */
export function termsIn({ yearsIn, kmPerYear, budget, hours }: Answers) {
  return {
    yearsIn: Number(yearsIn),
    ...(given(kmPerYear) ? { kmPerYear: Number(kmPerYear) } : {}),
    ...(given(budget) ? { budgetCents: cents(budget) } : {}),
    ...(given(hours) ? { budgetHours: Number(hours) } : {}),
  };
}
