import type { Pinch } from '../clearance/index.js';
import { axisOf, PLANES, type MachineShape, type PlaneName } from '../shape/index.js';

/** A measure somebody can take with a tape. */
export interface Measure {
  readonly plane: PlaneName;
  readonly words: string;
  readonly from: string;
  readonly usualMm: number;
  readonly measuredMm?: number;
  /** The narrowest place hangs on it. */
  readonly matters: boolean;
  /** Along or up the machine, and where the tape begins and ends there, in machine coordinates (mm). */
  readonly tape: { readonly on: 'x' | 'z'; readonly fromMm: number; readonly toMm: number };
}

/** What is worth a tape on any machine, the most telling first. */
const ALWAYS: readonly PlaneName[] = ['bulkhead', 'slam', 'radiator', 'pulley', 'tail', 'top', 'sump', 'cowl', 'sill'];
const SHOWN = 8;

/**
 * The measures of a machine to take: those the narrowest place hangs on first, then what tells most; eight at the most, and
 * all that were taken.
 */
export function measuresOf(
  { layout, measured, parts, bay, planes }: MachineShape,
  pinch: Pinch | undefined,
): readonly Measure[] {
  const onPinch = new Set<PlaneName>();
  for (const id of pinch ? [pinch.moving.id, pinch.still.id] : [])
    for (const plane of (parts.get(id) ?? bay.find((feature) => feature.id === id))?.planes ?? []) onPinch.add(plane);
  const taken = Object.keys(measured) as PlaneName[];
  const all = [...new Set([...onPinch, ...taken, ...ALWAYS])];
  const measures = all.flatMap((plane): readonly Measure[] => {
    const at = layout.planes[plane];
    const { on } = axisOf(layout, plane);
    if (!at || at[0] === 'origin' || at[1] === 0 || on === 'y') return [];
    const [fromMm, toMm] = [planes.get(at[0]), planes.get(plane)];
    if (fromMm === undefined || toMm === undefined) return [];
    const measuredMm = measured[plane];
    return [
      {
        plane,
        words: PLANES[plane].words,
        from: PLANES[at[0]].words,
        usualMm: Math.abs(at[1]),
        ...(measuredMm === undefined ? {} : { measuredMm }),
        matters: onPinch.has(plane),
        tape: { on, fromMm, toMm },
      },
    ];
  });
  return measures.slice(0, Math.max(SHOWN, onPinch.size + taken.length));
}
