/** Where a person stands for a step. */
export const STATIONS = [
  'bay-top',
  'front',
  'wheel-left',
  'wheel-right',
  'underside',
  'cabin',
  'rear',
  'bench',
] as const;
export type Station = (typeof STATIONS)[number];

/** How the machine must stand: on its wheels, raised, or it does not matter. */
export const STEP_HEIGHTS = ['ground', 'raised', 'either'] as const;
export type StepHeight = (typeof STEP_HEIGHTS)[number];
export type MachineHeight = Exclude<StepHeight, 'either'>;

/** What may be in motion while somebody works: the weight on gear and mounts, and whatever is turned or pressed. */
export const MOVING = ['weight', 'crank', 'steering', 'pedal'] as const;
export type Moving = (typeof MOVING)[number];

/** Cautions a step may carry; their wording is in `cautions.ts`. */
export const CAUTIONS = [
  'battery',
  'fuel',
  'hot-coolant',
  'hot-metal',
  'stands',
  'under-load',
  'airbag',
  'refrigerant',
  'spring',
  'heavy',
  'eyes',
  'exhaust-gas',
  'high-voltage',
  'air-pressure',
] as const;
export type Caution = (typeof CAUTIONS)[number];

/** Minutes of work as a crew guesses them: when it goes well, as a rule, and when it fights back. */
export interface ThreePointMinutes {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

export type PartId = string;
export type ConnectionId = string;
export type ConditionId = string;
export type CircuitId = string;

/** What must have happened before a step can be reached, and why, in the crew's words. */
export type Access = ({ readonly open: ConnectionId } & AccessDetails) | ({ readonly removed: PartId } & AccessDetails);
export interface AccessDetails {
  readonly why: string;
  readonly because?: AccessReason;
  /** An order only: it comes first where it is done at all, and is not done for this. */
  readonly orderOnly?: boolean;
  /** It comes first on the way back as well: closed before this is begun, and not turned round. */
  readonly firstBackToo?: boolean;
}
export type AccessReason = 'access' | 'safety' | 'load path';

/** What a person needs to know to do one step of work. */
export interface StepSpec {
  readonly title: string;
  readonly station: Station;
  readonly height: StepHeight;
  readonly hands: 1 | 2;
  readonly tools: readonly string[];
  readonly minutes: ThreePointMinutes;
  readonly cautions: readonly Caution[];
  readonly tip?: string;
  /** What it sets in motion: nobody’s hands are at that meanwhile. */
  readonly moves?: readonly Moving[];
}
