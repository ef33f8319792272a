import type { PlaneName } from './plane.js';
import type { Interval } from './solid.js';
import type { BayFeature, PartShape } from './spec.js';

/** A way in the machine. */
export type Direction = 'nose' | 'tail' | 'left' | 'right';

/** By which side of the bay a powerpack leaves it. */
export type Exit = 'up' | 'down' | 'back';

/** One leg of a way out: what moves, by which side, and how far its gear can tilt it. */
export interface Leg {
  /** The parts at the root of what moves. Absent: those of the powerpack. */
  readonly roots?: readonly string[];
  readonly exit: Exit;
  /** What carries it. */
  readonly by: 'hoist' | 'jack' | 'dolly';
  /** Tail down above zero, in degrees. */
  readonly tiltDeg: Interval;
  /** How far it is drawn straight off its shaft first, in mm; above zero towards the pulley. */
  readonly drawOffMm?: number;
  /** A leg after the first: the layout’s own step between it and the one before, on the way out and on the way back. */
  readonly between?: { readonly after: string; readonly before: string };
}

/** Where a plane is: so many mm from another, in the direction its axis counts, or from the origin of the machine. */
export type PlaneAt = readonly [from: PlaneName | 'origin', mm: number];

/** How large the machines of one layout are, and where things sit in them; a usual one, until somebody measures. */
export interface LayoutShape {
  /** How the engine lies: where its pulley end and its intake side look. */
  readonly pulleyTo: Direction;
  readonly coldTo: Direction;
  readonly planes: Readonly<Partial<Record<PlaneName, PlaneAt>>>;
  /** What lies otherwise with other cylinders than usual: how many, as a row, a V or flat. */
  readonly withCylinders?: Readonly<Record<string, Readonly<Partial<Record<PlaneName, PlaneAt>>>>>;
  readonly parts: Readonly<Record<string, PartShape>>;
  readonly bay: readonly BayFeature[];
  /** What a whole machine weighs, and which share of it its front wheels carry; a usual one. */
  readonly weight: { readonly massKg: number; readonly frontShare: number };
  /** Legs by route, in their order. */
  readonly ways: Readonly<Record<string, readonly Leg[]>>;
}
