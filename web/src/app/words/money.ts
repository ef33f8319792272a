/** Whole cents as the shop writes them: "980.00". */
export function money(cents: number): string {
  return (cents / 100).toFixed(2);
}

/** What somebody typed as money, in whole cents; undefined when it is empty or no such thing. */
export function centsOf(typed: string): number | undefined {
  const plain = typed.trim().replace(',', '.');
  if (!/^\d{1,7}(\.\d{1,2})?$/.test(plain)) return undefined;
  return Math.round(Number(plain) * 100);
}

/** Whole cents in the shop’s money: "980 EUR", "12.50 EUR". */
export function inMoney(cents: number, currency: string): string {
  const whole = cents % 100 === 0;
  return `${whole ? String(cents / 100) : money(cents)} ${currency}`;
}
