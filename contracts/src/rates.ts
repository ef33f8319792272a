import type { Rates } from '@brisk/core/economics';
import { string } from 'yup';
import { count } from './fields.js';
import { record } from './record.js';
import type { ToKeep } from './shop.js';

const cents = () => count(10_000_000);

/** What a shop reckons with; three capital letters name its money, as on an invoice. */
export const ratesSchema = record<Rates>({
  currency: string()
    .matches(/^[A-Z]{3}$/, '${path} has to be three capital letters, such as EUR.')
    .required()
    .label('Currency'),
  hourCents: cents(),
  litreCents: cents(),
  fastenerCents: cents(),
  dayCents: cents().optional().default(undefined),
});

export const keepRatesSchema = record<ToKeep<Rates>>({ revision: count(10_000_000), document: ratesSchema });
