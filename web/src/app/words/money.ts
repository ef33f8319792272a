import { figureIn } from '@brisk/core/words';

/** Whole cents as the shop writes them: "980.00". */
export function money(cents: number): string {
  return (cents / 100).toFixed(2);
}

/** What somebody typed as money, in whole cents; undefined when it is empty or no such thing. */
export function centsOf(typed: string): number | undefined {
  const amount = figureIn(typed);
  if (amount === undefined || !(amount >= 0) || amount >= 10_000_000) return undefined;
  const cents = Math.round(amount * 100);
  return Math.abs(cents - amount * 100) < 1e-6 ? cents : undefined;
}

/** Whole cents in the shop’s money: "980 EUR", "12.50 EUR". */
export function inMoney(cents: number, currency: string): string {
  const whole = cents % 100 === 0;
  return `${whole ? String(cents / 100) : money(cents)} ${currency}`;
}
