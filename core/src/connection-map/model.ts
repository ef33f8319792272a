import type { AdjustmentSpec, FillsLater, LevelSpec, SeatKind } from './set-and-measured.js';

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

/** What may be in motion while somebody works: the weight on gear and mounts, and whatever is turned or pressed. */
export const MOVING = ['weight', 'crank', 'steering', 'pedal'] as const;
export type Moving = (typeof MOVING)[number];

/** Cautions a step may carry; their wording is in `cautions.ts`. */
export const CAUTIONS = [
  'battery',
  'fuel',
  'hot-coolant',
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

/** One kind of fastener in a set: how many, and what a person would read off it. */
export interface FastenerSet {
  readonly count: number;
  readonly what: string;
  readonly note?: string;
  readonly singleUse?: boolean;
  /** Washers and sleeves, in the order they come off the head. */
  readonly washers?: readonly string[];
}

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
  /** Where one can only work while it is in force: every step there waits for it, and is done before it is ended. */
  readonly givesReach?: readonly Station[];
  /** How it is ended on the way back, where that is a step of its own. */
  readonly released?: StepSpec;
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

/** A gate somebody signs before work goes on. */
export const HOLD_POINTS = ['made-safe', 'pre-lift', 'pre-lower', 'pre-start'] as const;
export type HoldPointId = (typeof HOLD_POINTS)[number];

export interface HoldPoint {
  readonly id: HoldPointId;
  readonly name: string;
  /** What only a person can look at; each is confirmed one by one. */
  readonly confirmations: readonly { readonly id: string; readonly words: string }[];
}

export interface Powerpack {
  readonly id: string;
  readonly name: string;
  readonly roots: readonly PartId[];
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
  readonly liftSteps: readonly (StepSpec & { readonly id: string })[];
  readonly lowerSteps: readonly (StepSpec & { readonly id: string })[];
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
  readonly after: readonly Deed[];
  readonly before: readonly Deed[];
}

/** What has to be out of the way before something is reached while the powerpack is out, and why, in the crew’s words. */
export type Reach = (
  | { readonly open: ConnectionId }
  | { readonly removed: PartId }
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
  /** The circuit that runs out when it is opened. */
  readonly drains?: CircuitId;
}

/** A step of first start or handover that no connection gives rise to. */
export interface CheckStep extends StepSpec {
  readonly id: string;
  readonly when: 'before-start' | 'after-start' | 'handover';
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
  /** This circuit is drained, or is not. */
  readonly drained?: CircuitId;
  readonly notDrained?: CircuitId;
}

/** Where in the machine the engine bay is. */
export const BAYS = ['front', 'middle', 'rear'] as const;
export type Bay = (typeof BAYS)[number];

/** All parts and connections of one machine, and what its maker's arrangement allows. */
export interface ConnectionMap {
  readonly layout: string;
  readonly name: string;
  /** Where the engine bay is; absent: at the front. */
  readonly bay?: Bay;
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

/** Something nobody knew when the machine was surveyed. */
export interface LookAt {
  /** The option it is about. */
  readonly about: string;
  readonly question: string;
  /** What is taken for granted until somebody looks. */
  readonly taken: string;
}

/** Something to make, change or buy before a part from another machine fits this one. */
export interface Adaptation {
  readonly id: string;
  readonly title: string;
  readonly minutes: ThreePointMinutes;
  /** The connection that cannot be closed before it is done. Absent: it is done before the powerpack goes down. */
  readonly connection?: ConnectionId;
  /** It need not wait for the bench: it may be done in the bay, until the machine is started. */
  readonly dueBy?: 'start';
  readonly tip?: string;
}

/** How a crew parts the powerpack from the rest where more than one way is right. */
export interface Practice {
  /** Parts that go along although they could stay: the loom, a pump whose hoses are undone. */
  readonly along?: readonly PartId[];
  /** Parts that stay although they ride with it: a pump swung aside with its hoses on. */
  readonly stays?: readonly PartId[];
  /** Outer parts that come off before the lift. */
  readonly offFirst?: readonly PartId[];
}

/** What a crew set out to do on one machine. */
export interface JobPlan {
  readonly map: ConnectionMap;
  readonly powerpack: string;
  readonly route: string;
  readonly practice?: Practice;
  readonly lookAt?: readonly LookAt[];
  /** What a swap asks to be made, changed or bought. */
  readonly adaptations?: readonly Adaptation[];
  /** Connections that are opened and not closed again, because what goes in does not have them. */
  readonly leftOff?: readonly ConnectionId[];
  /** The edition of the rules the job is held to; absent: the first. */
  readonly rules?: number;
}
