/** What a meter gave at a ground: ohms at rest, or the volts lost across it with so many amps going through. */
export interface GroundMeasured {
  readonly ohms?: number;
  readonly dropV?: number;
}

/** More than this between the two ends, in ohms, is a bad ground; a meter’s own leads are taken off first. */
export const MOST_OHMS = 0.2;
/** More than this across it under load, in volts, is a bad ground: a starter’s own may lose no more. */
export const MOST_DROP_V = 0.2;

/** Whether a ground carries, by what was measured; undefined where nothing was. Usual workshop limits; the maker’s win. */
export function judgeGround({ ohms, dropV }: GroundMeasured): 'carries' | 'poor' | undefined {
  if (ohms === undefined && dropV === undefined) return undefined;
  return (ohms ?? 0) <= MOST_OHMS && (dropV ?? 0) <= MOST_DROP_V ? 'carries' : 'poor';
}
