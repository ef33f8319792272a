import type { Circuit, Condition, Connection, Part, System } from './connection.js';
import type { CircuitId, ConditionId, ConnectionId, PartId, StepSpec } from './step.js';
import type { SeatKind } from './set-and-measured.js';

/** A gate somebody signs before work goes on. */
export const HOLD_POINTS = ['made-safe', 'pre-weight', 'pre-lift', 'pre-lower', 'pre-start'] as const;
export type HoldPointId = (typeof HOLD_POINTS)[number];

export interface HoldPoint {
  readonly id: HoldPointId;
  readonly name: string;
  /** What only a person can look at; each is confirmed one by one. */
  readonly confirmations: readonly Confirmation[];
}

/** Something a person looks at before a hold point is signed. */
export interface Confirmation {
  readonly id: string;
  readonly words: string;
  /** Asked only on a job like this; absent: on every one. */
  readonly where?: CheckScope;
  /** Asked only where somebody is, or nobody is, beneath at the very next step of lift or way in. */
  readonly beneath?: boolean;
}

export interface Powerpack {
  readonly id: string;
  readonly name: string;
  readonly roots: readonly PartId[];
}

/** A step of the lift. */
export interface LiftStep extends StepSpec {
  readonly id: string;
  /** It is a step of its own whatever moves the lift goes by: gear is set or taken away. */
  readonly kept?: boolean;
}

/** A step of the way in. */
export interface LowerStep extends LiftStep {
  /** With it the faces of two units come together. */
  readonly meets?: boolean;
  /** With it this unit is down on its mounts: they are closed before the next step, which brings another unit to it. */
  readonly sits?: PartId;
}

export interface Route {
  readonly id: string;
  readonly name: string;
  /** The powerpacks that can leave this way. Absent: every one. */
  readonly powerpacks?: readonly string[];
  readonly blockedBy: readonly { readonly part: PartId; readonly why: string }[];
  /** Connections this route opens although both their ends leave: where the powerpack is parted under the machine. */
  readonly opensToo?: readonly { readonly connection: ConnectionId; readonly why: string }[];
  /** Conditions that must be in force before the pre-lift hold point. */
  readonly supports: readonly ConditionId[];
  readonly liftSteps: readonly LiftStep[];
  readonly lowerSteps: readonly LowerStep[];
}

/**
 * Something that is done, by what it is done to: in the half of the chore that names it, and for the bench on the way
 * together; `undone` is a connection’s being opened or a part’s coming off, whichever half the chore is of.
 */
export type Deed =
  | { readonly connection: ConnectionId }
  | { readonly undone: ConnectionId | PartId }
  | { readonly renewal: string }
  | { readonly part: PartId }
  | { readonly circuit: CircuitId }
  | { readonly condition: ConditionId }
  | { readonly chore: string }
  | { readonly holdPoint: HoldPointId };

/**
 * Work that no connection gives rise to: wings covered, a filter changed, a clutch centred, something left to cool. It is
 * done on a job where something is that it comes `before`; where a hold point is among that, on every job it is `where` for.
 */
export interface Chore extends StepSpec {
  readonly id: string;
  readonly half: 'out' | 'bench' | 'back';
  /** Why it is done then, in the crew’s words. */
  readonly why: string;
  /** It takes time and nobody’s hands; other work goes on meanwhile. */
  readonly wait?: boolean;
  readonly where?: CheckScope;
  /** It marks what must not be lost: a photo is asked for. */
  readonly photo?: boolean;
  /** The chore whose mark it goes by: that one’s photos are shown. */
  readonly recalls?: string;
  /** The seat that is measured at it. */
  readonly measures?: SeatKind;
  /** It pins what turns with the crank, or takes the pins out: in between nothing is done that loads them. */
  readonly pins?: 'in' | 'out';
  readonly after: readonly Deed[];
  readonly before: readonly Deed[];
}

/** What has to be out of the way before something is reached while the powerpack is out, and why, in the crew’s words. */
export type Reach = (
  | { readonly open: ConnectionId }
  /** `orderOnly`: only where it comes off anyway. */
  | { readonly removed: PartId; readonly orderOnly?: boolean }
  /** The two are drawn apart from each other. */
  | { readonly parted: readonly [PartId, PartId] }
  /** It has left the machine. */
  | { readonly out: PartId }
) & { readonly why: string };

/** Something that is bought new, and about what it costs, in hundredths of the shop’s money. */
export interface NewPart {
  readonly what: string;
  readonly count: number;
  readonly guideCents: number;
}

/**
 * Something that wears and is renewed, or looked after, while one can get at it. Its own step takes it off and puts the
 * new one in; what is in front of it is `reach`.
 */
export interface Renewal extends StepSpec {
  readonly id: string;
  /** As it is spoken of: “rear crank seal”. */
  readonly name: string;
  /** The part it sits in or on. */
  readonly at: PartId;
  readonly reach: readonly Reach[];
  /** What comes of it when it fails. */
  readonly why: string;
  readonly parts: readonly NewPart[];
  /** How long one lasts as a rule, in years of ordinary use. */
  readonly lastsYears: number;
  /** What is renewed before it, where both are. */
  readonly after?: readonly string[];
  /** The circuit that runs out when it is opened. */
  readonly drains?: CircuitId;
  /** What it takes along when it fails; absent: nothing but itself. */
  readonly breaks?: Breakage;
}

/** What breaks with something that fails: what it is, about what it costs on top, and the days the machine stands for it. */
export interface Breakage {
  readonly what: string;
  readonly guideCents: number;
  readonly days: number;
}

/** A step of first start or handover that no connection gives rise to. */
export interface CheckStep extends StepSpec {
  readonly id: string;
  readonly when: 'before-start' | 'after-start' | 'handover';
  /** It takes time and nobody’s hands. */
  readonly wait?: boolean;
  /** Done only on a job like this; absent: on every one. */
  readonly where?: CheckScope;
}

/** Which jobs a look is for. Whatever is said has to hold. */
export interface CheckScope {
  /** This part comes out with the powerpack. */
  readonly comesOut?: PartId;
  /** This part stays in the machine. */
  readonly staysIn?: PartId;
  /** Some connection of this system is opened. */
  readonly opened?: System;
  /** One of these connections is opened. */
  readonly touches?: readonly ConnectionId[];
  /** Another unit takes the place of this one. */
  readonly replaced?: PartId;
  /** This is not among what is renewed. */
  readonly notRenewed?: string;
  /** This condition is brought about. */
  readonly condition?: ConditionId;
  /** This circuit is drained, or is not. */
  readonly drained?: CircuitId;
  readonly notDrained?: CircuitId;
}

/** Where in the machine the engine bay is. */
export const BAYS = ['front', 'middle', 'rear'] as const;
export type Bay = (typeof BAYS)[number];

/** How many cylinders an engine has, and how they lie. */
export interface Cylinders {
  readonly count: number;
  readonly arranged: (typeof CYLINDERS_LIE)[number];
}
export const CYLINDERS_LIE = ['row', 'v', 'flat'] as const;

/** All parts and connections of one machine, and what its maker's arrangement allows. */
export interface ConnectionMap {
  readonly layout: string;
  readonly name: string;
  /** Where the engine bay is; absent: at the front. */
  readonly bay?: Bay;
  /** Absent: nobody said. */
  readonly cylinders?: Cylinders;
  readonly body: PartId;
  readonly parts: readonly Part[];
  readonly connections: readonly Connection[];
  readonly conditions: readonly Condition[];
  readonly circuits: readonly Circuit[];
  readonly holdPoints: readonly HoldPoint[];
  readonly powerpacks: readonly Powerpack[];
  readonly routes: readonly Route[];
  readonly checks: readonly CheckStep[];
  /** Work that no connection gives rise to. */
  readonly chores?: readonly Chore[];
  /** What is worth renewing while one can get at it. */
  readonly renewals?: readonly Renewal[];
}
