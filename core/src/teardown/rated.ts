import { lumpOf, partsById, type Condition, type JobPlan } from '../connection-map/index.js';
import { DYNAMIC } from '../rigging/index.js';
import type { Requirements } from './requirements.js';

/** Ratings come in these steps, in kg. */
const STEP_KG = 250;

/**
 * What the gear of `condition` has to be rated for, in kg: the units it carries with all that rides on them and is not taken off
 * before, a quarter heavier, up to the next rating there is. Undefined where nothing on the map has a weight.
 */
export function ratedForKg(
  { map }: JobPlan,
  { carries }: Condition,
  { lump, removed }: Pick<Requirements, 'lump' | 'removed'>,
): { readonly loadKg: number; readonly ratedKg: number } | undefined {
  const parts = partsById(map);
  const off = new Set([...removed.keys()].flatMap((part) => [...lumpOf(map, [part])]));
  const carried = carries ? lumpOf(map, carries) : lump;
  const kg = [...carried].reduce((sum, id) => sum + (off.has(id) ? 0 : (parts.get(id)?.massKg ?? 0)), 0);
  if (kg === 0) return undefined;
  return { loadKg: Math.round(kg), ratedKg: Math.ceil((kg * DYNAMIC) / STEP_KG) * STEP_KG };
}
