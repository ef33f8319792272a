import type { Level, Range } from './plane.js';

/** One convex solid as a layout’s data write it: seen from the side, from the end of the crank, or round. */
export type SolidSpec =
  | {
      readonly of: 'engine' | 'machine';
      readonly seen: 'side' | 'end';
      /** Corners by the level along (from the side) or across (from the end), and the level up. */
      readonly corners: readonly (readonly [Level, Level])[];
      /** How far it reaches the third way. */
      readonly through: Range;
    }
  | {
      readonly of: 'engine';
      readonly seen: 'round';
      readonly along: Range;
      readonly middle: readonly [across: Level, up: Level];
      readonly radiusMm: number;
    };

/** What a part looks like. */
export interface PartShape {
  readonly solids: readonly SolidSpec[];
  /** May be pushed aside: drawn, and nothing is held to keep clear of it. */
  readonly soft?: true;
  /** Once it is undone from what leaves it is tied aside. */
  readonly swings?: true;
  /** Parts it is let into by design, seated: a starter in its bell, a fan in its shroud. */
  readonly into?: readonly string[];
}

/** A feature of the bay that stays. */
export interface BayFeature {
  readonly id: string;
  /** As the crew call it. */
  readonly name: string;
  readonly solids: readonly SolidSpec[];
}

const corners = (one: Range, other: Range): readonly (readonly [Level, Level])[] => [
  [one[0], other[0]],
  [one[1], other[0]],
  [one[1], other[1]],
  [one[0], other[1]],
];

/** A block on the engine: along the crank, across it, up. */
export const block = (along: Range, across: Range, up: Range): SolidSpec => ({
  of: 'engine',
  seen: 'side',
  corners: corners(along, up),
  through: across,
});

/** Something on the engine with corners seen from its side: levels along and up. */
export const side = (outline: readonly (readonly [Level, Level])[], across: Range): SolidSpec => ({
  of: 'engine',
  seen: 'side',
  corners: outline,
  through: across,
});

/** Something on the engine with corners seen from the end of the crank: levels across and up. */
export const end = (outline: readonly (readonly [Level, Level])[], along: Range): SolidSpec => ({
  of: 'engine',
  seen: 'end',
  corners: outline,
  through: along,
});

/** Something round the crank or a shaft beside it. */
export const drum = (along: Range, across: Level, up: Level, radiusMm: number): SolidSpec => ({
  of: 'engine',
  seen: 'round',
  along,
  middle: [across, up],
  radiusMm,
});

/** A box in the machine: along, across, up. */
export const box = (x: Range, y: Range, z: Range): SolidSpec => ({
  of: 'machine',
  seen: 'side',
  corners: corners(x, z),
  through: y,
});

/** Something in the machine with corners seen from the side: levels along and up. */
export const profile = (outline: readonly (readonly [Level, Level])[], y: Range): SolidSpec => ({
  of: 'machine',
  seen: 'side',
  corners: outline,
  through: y,
});

/** A hard thing of `solids`. */
export const hard = (...solids: readonly SolidSpec[]): PartShape => ({ solids });

/** A thing that may be pushed aside. */
export const soft = (...solids: readonly SolidSpec[]): PartShape => ({ solids, soft: true });

/** A hard thing let into others by design. */
export const letInto = (into: readonly string[], ...solids: readonly SolidSpec[]): PartShape => ({ solids, into });
