import type { PlaneAt, PlaneName } from '../../shape/index.js';

/** Where every machine is measured from: its front axle, its middle, the ground. */
export const ORIGINS = {
  'front-axle': ['origin', 0],
  middle: ['origin', 0],
  ground: ['origin', 0],
} as const satisfies Partial<Record<PlaneName, PlaneAt>>;

type Side = PlaneName extends infer Name ? (Name extends `left-${infer What}` ? What : never) : never;

/** Planes to the left and to the right, as far from the middle in mm. */
export function sides(apart: Readonly<Partial<Record<Side, number>>>): Readonly<Partial<Record<PlaneName, PlaneAt>>> {
  return Object.fromEntries(
    Object.entries(apart).flatMap(([what, mm]): readonly (readonly [string, PlaneAt])[] => [
      [`left-${what}`, ['middle', mm]],
      [`right-${what}`, ['middle', -mm]],
    ]),
  );
}

/** The walls of a tunnel, as far from the middle in mm. */
export const tunnelWalls = (mm: number) =>
  ({ 'tunnel-left': ['middle', mm], 'tunnel-right': ['middle', -mm] }) as const satisfies Partial<
    Record<PlaneName, PlaneAt>
  >;

/** The flanks of an engine, as far from the middle of its crank in mm. */
export const flanks = (mm: number) =>
  ({ cold: ['centre', mm], hot: ['centre', -mm] }) as const satisfies Partial<Record<PlaneName, PlaneAt>>;
