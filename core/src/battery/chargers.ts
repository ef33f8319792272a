/** A charger of the shop. */
export interface Charger {
  readonly tool: string;
  readonly amps: number;
}

const CHARGER = /charger\D*?(\d+(?:[.,]\d+)?)\s*A\b/i;

/** The chargers among the tools the shop has, by the amperes in their names (“battery charger, 25 A”); the strongest first. */
export function chargersIn(tools: readonly { readonly tool: string; readonly here: boolean }[]): readonly Charger[] {
  return tools
    .flatMap(({ tool, here }) => {
      const amps = Number((CHARGER.exec(tool)?.[1] ?? '').replace(',', '.'));
      return here && amps > 0 ? [{ tool, amps }] : [];
    })
    .sort((one, other) => other.amps - one.amps);
}

/** How a charger of `amps` stands in the list of tools. */
export function chargerNamed(amps: number): string {
  return `battery charger, ${amps} A`;
}
