/** What a shop reckons with, in hundredths of its money. */
export interface Rates {
  /** Three letters, as on an invoice. */
  readonly currency: string;
  readonly hourCents: number;
  /** A litre of whatever has to be filled again. */
  readonly litreCents: number;
  /** A fastener that is new every time. */
  readonly fastenerCents: number;
  /** A day on which the machine stands for what broke; absent: as usual. */
  readonly dayCents?: number;
}

export const USUAL_RATES = {
  currency: 'EUR',
  hourCents: 5_500,
  litreCents: 800,
  fastenerCents: 180,
  dayCents: 9_000,
} as const satisfies Rates;
