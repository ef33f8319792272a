/** Seats that are measured before the faces meet: afterwards nobody gets there. */
export const SEAT_KINDS = ['converter-depth', 'clutch-fingers'] as const;
export type SeatKind = (typeof SEAT_KINDS)[number];

/** What is set at a joint once it is together, by trying. */
export const ADJUSTED = ['gears', 'free-play', 'tension'] as const;

/** How a joint is set, and what is wanted of it. The maker’s figures win over those given here. */
export interface AdjustmentSpec {
  readonly what: (typeof ADJUSTED)[number];
  /** Gears that have to go in, in the order of the gate: neighbours lie on opposite sides, */
  readonly gears?: readonly string[];
  /** unless they lie in one line, first to last, as on a selector. */
  readonly inLine?: true;
  /** What is wanted, in mm of free play or in N of tension; absent where only the maker’s figure says it. */
  readonly from?: number;
  readonly to?: number;
  /** Where it is measured, in words. */
  readonly at?: string;
}

/** How the level of a circuit is read. */
export const LEVEL_WAYS = ['stick', 'overflow', 'marks'] as const;
export type LevelWay = (typeof LEVEL_WAYS)[number];

export interface LevelSpec {
  readonly by: LevelWay;
  /** The temperature it is read at, in °C. */
  readonly fromC?: number;
  readonly toC?: number;
  /** What lies between the two marks, in litres. */
  readonly marksL?: number;
}

/** What fills itself once the fluid goes round, so that it is topped up afterwards. */
export interface FillsLater {
  readonly what: string;
  readonly litres: number;
  /** Only where this was opened; absent: always. */
  readonly opened?: string;
}
