import { AdjustError } from './adjust-error.js';

/** A belt as it was measured: plucked, or pressed in the middle of its free span. Lengths in mm. */
export type BeltMeasured =
  | { readonly by: 'frequency'; readonly spanMm: number; readonly gramsPerM: number; readonly hz: number }
  | { readonly by: 'deflection'; readonly spanMm: number; readonly forceN: number; readonly deflectionMm: number };

const MM = 1_000;
/** Pressed in further than this share of the span it is a loop, not a string. */
const DEEPEST = 0.1;

/**
 * Tension of a belt in N. Plucked: `T = 4 m L² f²`, the string of length L (m), mass m (kg/m) and lowest note f (Hz). Pressed:
 * `T = F L / (4 δ)`, the balance of a taut string pressed by F in its middle by δ. Throws {@link AdjustError}.
 */
export function beltTensionN(measured: BeltMeasured): number {
  const spanM = measured.spanMm / MM;
  if (!(spanM > 0)) throw new AdjustError('The free span, from pulley to pulley, has to be measured first.');
  if (measured.by === 'frequency') {
    const { gramsPerM, hz } = measured;
    if (!(gramsPerM > 0)) throw new AdjustError('What a metre of the belt weighs has to be known.');
    if (!(hz > 0)) throw new AdjustError('Pluck it and measure its note: more than 0 Hz.');
    return 4 * (gramsPerM / 1_000) * spanM ** 2 * hz ** 2;
  }
  const { forceN, deflectionMm } = measured;
  if (!(forceN > 0 && deflectionMm > 0)) throw new AdjustError('Press it, and measure how far it goes in.');
  if (deflectionMm > measured.spanMm * DEEPEST)
    throw new AdjustError('It goes in more than a tenth of its span: far too slack to be measured so.');
  return (forceN * spanM) / (4 * (deflectionMm / MM));
}
