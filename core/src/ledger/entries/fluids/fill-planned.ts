import type { CircuitId } from '../../../connection-map/index.js';
import { FluidError, shareFor, type PrimingWay } from '../../../fluids/index.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Mixed at once, or run on plain water first and mixed once it is known to be tight. */
export const FILL_SCHOOLS = ['mixed', 'water-first'] as const;
export type FillSchool = (typeof FILL_SCHOOLS)[number];

/** How a circuit is going to be filled. */
export interface FillPlanned {
  readonly kind: 'fill-planned';
  readonly circuit: CircuitId;
  /** Down to which temperature it has to hold, in °C. */
  readonly freezingC?: number;
  /** How strong what is still inside is: concentrate, as a share of it. */
  readonly shareInside?: number;
  readonly school?: FillSchool;
  /** Sizes of the cans it is bought in, in litres. */
  readonly cansL?: readonly number[];
  readonly priming?: PrimingWay;
}

export type FillTerms = Omit<FillPlanned, 'kind' | 'circuit'> & Mark;

export const PRIMING_WORDS: Readonly<Record<PrimingWay, { readonly name: string; readonly how: string }>> = {
  gallery: {
    name: 'Pump through a gallery plug',
    how: 'External pump on a plug of the main gallery, until the gauge moves and oil shows under the filler cap.',
  },
  crank: {
    name: 'Crank with fuel and spark off',
    how: 'Bursts of ten seconds at most, half a minute between, until the gauge moves. None after three: stop and look.',
  },
  filter: {
    name: 'Fill the filter, then crank',
    how: 'Only where it stands upright. It shortens the wait and fills no gallery: crank with fuel and spark off after it.',
  },
};

export const fillPlanned: EntryRules<FillPlanned> = {
  mayFollow({ work }, { circuit, freezingC }) {
    if (!work.plan.map.circuits.some(({ id }) => id === circuit)) return unknown('circuit', circuit);
    try {
      if (freezingC !== undefined) shareFor(freezingC);
      return NOTHING;
    } catch (error) {
      if (error instanceof FluidError) return refuse('sense', error.message);
      throw error;
    }
  },
  fold: (draft, { circuit, freezingC, shareInside, school, cansL, priming }, mark) =>
    void draft.fills.set(circuit, {
      ...mark,
      ...(freezingC === undefined ? {} : { freezingC }),
      ...(shareInside === undefined ? {} : { shareInside }),
      ...(school === undefined ? {} : { school }),
      ...(cansL === undefined ? {} : { cansL }),
      ...(priming === undefined ? {} : { priming }),
    }),
  stop: () => 'refit',
  minutes: 'of-what-comes-next',
  fills: ({ circuit }) => [circuit],
  binds: ({ circuit }) => ({ circuits: [circuit], been: 'planned to be filled' }),
  words: ({ circuit, freezingC, school, priming }, naming) =>
    [
      `How ${naming.circuit(circuit)} is filled`,
      ...(freezingC === undefined ? [] : [`down to ${freezingC} °C`]),
      ...(school === 'water-first' ? ['water first'] : []),
      ...(priming === undefined ? [] : [PRIMING_WORDS[priming].name.toLowerCase()]),
    ].join(', '),
};
