import type {
  Access,
  Caution,
  CircuitId,
  ConditionId,
  ConnectionId,
  Moving,
  PartId,
  Station,
  StepHeight,
  StepSpec,
  ThreePointMinutes,
} from './step.js';
import type { AdjustmentSpec, FillsLater, LevelSpec } from './set-and-measured.js';

/** Where a part sits in the machine. */
export const ZONES = [
  'bay-front',
  'bay-left',
  'bay-right',
  'bay-top',
  'bay-rear',
  'under-front',
  'under-middle',
  'under-rear',
  'cabin',
  'outside',
] as const;
export type Zone = (typeof ZONES)[number];

export const CONNECTION_KINDS = [
  'bolted',
  'plug',
  'hose',
  'pipe',
  'cable',
  'ground',
  'linkage',
  'shaft',
  'clip',
  'strap',
  'clamp',
] as const;
export type ConnectionKind = (typeof CONNECTION_KINDS)[number];

export const SYSTEMS = [
  'body',
  'cooling',
  'electrics',
  'fuel',
  'air',
  'exhaust',
  'driveline',
  'steering',
  'heating',
  'mounts',
  'refrigerant',
] as const;
export type System = (typeof SYSTEMS)[number];

/** One kind of fastener in a set: how many, and what a person would read off it. */
export interface FastenerSet {
  readonly count: number;
  readonly what: string;
  readonly note?: string;
  readonly singleUse?: boolean;
  /** Washers and sleeves, in the order they come off the head. */
  readonly washers?: readonly string[];
}

export interface Part {
  readonly id: PartId;
  readonly name: string;
  readonly zone: Zone;
  readonly system: System;
  readonly massKg?: number;
  /** The part this one hangs on and comes away with. */
  readonly ridesWith?: PartId;
  /** It closes the bay from above: where it comes off, it does before anybody works in there. */
  readonly coversBay?: boolean;
  /** It hides what may leak: it goes back on once the engine has run and the leaks have been looked for. */
  readonly afterLeakCheck?: boolean;
  /** It is part of the unit it rides on: another unit brings its own. */
  readonly builtIn?: boolean;
  /** What it moves with: a belt with the crank, a calliper with the wheels. */
  readonly movesWith?: Moving;
  /** What it is filled with by hand before it goes onto another unit: its pump would run dry. */
  readonly chargedWith?: CircuitId;
  /** How it is lifted away once nothing holds it. Absent: it never comes out by itself. */
  readonly removal?: StepSpec;
}

/** How a thread goes together. */
export const THREAD_STATES = ['dry', 'plated', 'oiled', 'threadlocker', 'sealant', 'paste'] as const;
export type ThreadState = (typeof THREAD_STATES)[number];

export interface TorqueSpec {
  readonly targetNm: number;
  /** How the machine has to stand for the final torque, where that is not as it stood for opening it. */
  readonly height?: StepHeight;
  /** Final angle after the target, in degrees. */
  readonly angleDeg?: number;
  /** The maker’s own stages, as rising shares of the figure, the last of them 1. */
  readonly stages?: readonly number[];
  /** How its thread goes together, as the figure is meant. */
  readonly thread?: ThreadState;
  /** Each bolt is read by itself. */
  readonly eachRead?: true;
  /** All joints that name the same group are in, and loose, before any of them gets its final torque. */
  readonly looseUntilAllIn?: string;
  /** It is torqued once more after the first heat cycle. */
  readonly again?: true;
  /** Connections to be at final torque before this one (upper mounts before lower). */
  readonly after?: readonly { readonly connection: ConnectionId; readonly why: string }[];
}

export interface RefitData {
  readonly minutes: ThreePointMinutes;
  /** Supports that stay until it is closed, although it was opened before they were set. */
  readonly supportedBy?: readonly ConditionId[];
  /** How the machine has to stand for closing it, where that is not as it stood for opening it. */
  readonly height?: StepHeight;
  readonly torque?: TorqueSpec;
  /** How tight by hand, in words, where no wrench is wanted. */
  readonly handTight?: string;
  /** How it is set by trying, once it is together. */
  readonly adjust?: AdjustmentSpec;
  /** Set when it must be in before the powerpack goes down; the words say why. */
  readonly beforeLowering?: string;
  readonly note?: string;
}

export interface Connection {
  readonly id: ConnectionId;
  readonly name: string;
  readonly kind: ConnectionKind;
  readonly between: readonly [PartId, PartId];
  readonly system: System;
  readonly station: Station;
  readonly height: StepHeight;
  readonly hands: 1 | 2;
  readonly tools: readonly string[];
  readonly minutes: ThreePointMinutes;
  readonly cautions: readonly Caution[];
  readonly fasteners: readonly FastenerSet[];
  readonly needs: readonly ConditionId[];
  readonly access: readonly Access[];
  /** The fluid circuit that opening it opens; the circuit is drained first. */
  readonly circuit?: CircuitId;
  readonly carriesLoad?: boolean;
  readonly tip?: string;
  /** What undoing it or doing it up sets in motion. */
  readonly moves?: readonly Moving[];
  readonly refit: RefitData;
}

/** A state some steps need, and how it comes about. */
export interface Condition {
  readonly id: ConditionId;
  readonly name: string;
  readonly established:
    | { readonly by: 'connection'; readonly connection: ConnectionId }
    | { readonly by: 'step'; readonly step: StepSpec; readonly access: readonly Access[] };
  /** Signed for at the made-safe hold point, before other work begins. */
  readonly makeSafe?: boolean;
  /** Takes the load: brought about only once everything that carries no load is off. */
  readonly takesLoad?: boolean;
  /** The units whose weight it takes; absent: the whole powerpack. */
  readonly carries?: readonly PartId[];
  /** What it takes stands on it, or still on something else: nobody is beneath what only hangs. */
  readonly fromBelow?: boolean;
  /** Where one can only work while it is in force: every step there waits for it, and is done before it is ended. */
  readonly givesReach?: readonly Station[];
  /** What cannot be worked while it is in force: no pedal under a tilted cab, no booster without air. */
  readonly stops?: readonly Moving[];
  /** How it is ended on the way back, where that is a step of its own. */
  readonly released?: StepSpec;
  /** The look of the first start that ends it, where that is none of the way back. */
  readonly endedBy?: string;
}

export interface Circuit {
  readonly id: CircuitId;
  readonly name: string;
  readonly fluid: string;
  /** What to fill in, as it stands on the can; the maker’s own figure wins. */
  readonly grade?: string;
  readonly capacityL: number;
  /** What usually runs out when it is drained; the rest stays inside. */
  readonly drainsL: number;
  /** What of it fills itself once the fluid goes round. */
  readonly fillsLater?: readonly FillsLater[];
  /** How its level is read. */
  readonly level?: LevelSpec;
  readonly drain: StepSpec & { readonly needs: readonly ConditionId[]; readonly access: readonly Access[] };
  readonly fill: StepSpec;
}
