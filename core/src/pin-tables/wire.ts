/** Resistivity of copper at 20 °C, in Ω·mm²/m. */
const COPPER = 0.01724;
/** What a run may lose before what it feeds notices, in volts. */
const MOST_DROP_V = 0.5;

/** Cross-sections that wire comes in, in mm². */
export const WIRE_SIZES_MM2 = [0.35, 0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70] as const;

/** Volts lost over a run and back: I ρ 2L / A. `amps` over `lengthM` one way, in `sizeMm2`. */
export function dropOver(amps: number, lengthM: number, sizeMm2: number): number {
  return (amps * COPPER * 2 * lengthM) / sizeMm2;
}

/**
 * The smallest wire, and none smaller than `leastMm2`, that loses no more than half a volt over `lengthM` one way and
 * back at `amps`; undefined where none that is made does.
 */
export function smallestWire(amps: number, lengthM: number, leastMm2 = 0): number | undefined {
  return WIRE_SIZES_MM2.find((size) => size >= leastMm2 - 1e-9 && dropOver(amps, lengthM, size) <= MOST_DROP_V);
}
