import type { Found } from '@brisk/core/donor';
import { DECISIONS, FITS, type Decisions, type PulledItems } from '@brisk/core/swap';
import { id, mapOf, name, oneOf, optionalAmount, optionalCents, optionalText, optionalYesOrNo } from './fields.js';
import { record } from './record.js';

/** What was chosen, option by option; whether a layout offers it is for core to say. */
export type Choices = Readonly<Record<string, string>>;
export const choicesSchema = () => mapOf(id(), 60);

const price = { priceCents: optionalCents(), coreChargeCents: optionalCents() };

/** The other machine of a swap: what it is, what was found on it, what was decided, and what has been pulled. */
export interface Swap {
  readonly donor: {
    readonly name: string;
    readonly layout: string;
    readonly choices: Choices;
    readonly powerpack: string;
    readonly note?: string;
    readonly priceCents?: number;
    readonly coreChargeCents?: number;
  };
  readonly found: Found;
  readonly decisions: Decisions;
  readonly pulled: PulledItems;
}

export const swapSchema = record<Swap>({
  donor: record<Swap['donor']>({
    name: name(),
    layout: id(),
    choices: choicesSchema(),
    powerpack: id(),
    note: optionalText(),
    ...price,
  }),
  found: mapOf(id(), 200),
  decisions: mapOf(
    record<Decisions[string]>({
      decision: oneOf(DECISIONS),
      note: optionalText(),
      minutes: optionalAmount(100_000),
      ...price,
    }),
  ),
  pulled: mapOf(
    record<PulledItems[string]>({
      got: optionalYesOrNo(),
      fit: oneOf(FITS).optional(),
      note: optionalText(),
      ...price,
    }),
  ),
});
