/** What a shop reckons with, in hundredths of its money. */
export interface Rates {
  /** Three letters, as on an invoice. */
  readonly currency: string;
  readonly hourCents: number;
  /** A litre of whatever has to be filled again. */
  readonly litreCents: number;
  /** A fastener that is new every time. */
  readonly fastenerCents: number;
}

export const USUAL_RATES: Rates = { currency: 'EUR', hourCents: 5_500, litreCents: 800, fastenerCents: 180 };
