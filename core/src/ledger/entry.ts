import type {
  CircuitId,
  ConnectionId,
  ConnectionKind,
  FastenerSet,
  HoldPointId,
  MachineHeight,
  PartId,
  Station,
  StepHeight,
} from '../connection-map/index.js';
import type { BoltPattern, MeasuredBolt } from '../fasteners/index.js';
import type { IssueSort, StartResult } from '../first-start/index.js';
import type { PhotoMark, PinnedTo } from '../photos/index.js';
import type { Crew, School } from '../schedule/index.js';
import type { OperationId } from '../teardown/index.js';
import type { TorqueReadingAsRead } from '../units/index.js';

/** What makes a step stick. */
export const TROUBLES = [
  'seized',
  'rounded',
  'broken',
  'stripped-thread',
  'stud-came-out',
  'pipe-broke',
  'part-missing',
  'other',
] as const;
export type Trouble = (typeof TROUBLES)[number];

/** What is done against a fastener that fights back, mildest first. */
export const MEANS = ['penetrant', 'heat', 'leverage', 'extractor', 'cut', 'other'] as const;
export type Means = (typeof MEANS)[number];

/** Where fasteners are kept while they are out. */
export const KEEPINGS = ['bag', 'hole', 'row', 'card'] as const;
export type Keeping = (typeof KEEPINGS)[number];

/** What a fastener is like when it is looked at. `wrong`: of a kind that does not belong there; `lost`: not there any more. */
export const CONDITIONS_OF_FASTENER = [
  'good',
  'stretched',
  'galled',
  'corroded',
  'rounded',
  'broken',
  'wrong',
  'lost',
] as const;
export type FastenerCondition = (typeof CONDITIONS_OF_FASTENER)[number];

/** How a step is passed over: put off, or found not to be on this machine. */
export const SKIP_MODES = ['later', 'not-here'] as const;
export type SkipMode = (typeof SKIP_MODES)[number];

/** A connection the map did not have, as described by the person who found it. */
export interface FoundConnection {
  readonly id: ConnectionId;
  readonly name: string;
  readonly kind: ConnectionKind;
  readonly between: readonly [PartId, PartId];
  readonly station: Station;
  readonly height: StepHeight;
}

export interface OperationDone {
  readonly kind: 'operation-done';
  readonly operation: OperationId;
}
export interface OperationSkipped {
  readonly kind: 'operation-skipped';
  readonly operation: OperationId;
  readonly mode: SkipMode;
  readonly reason: string;
}
export interface OperationStuck {
  readonly kind: 'operation-stuck';
  readonly operation: OperationId;
  readonly trouble: Trouble;
  readonly tried: string;
  readonly minutesLost: number;
  readonly means?: readonly Means[];
  /** How long it is left to soak before it is tried again; other work goes on. */
  readonly soakMin?: number;
}
export interface HeightSet {
  readonly kind: 'height-set';
  readonly height: MachineHeight;
}
export interface FastenersCounted {
  readonly kind: 'fasteners-counted';
  readonly connection: ConnectionId;
  readonly direction: 'out' | 'in';
  readonly count: number;
  readonly bag?: number;
  /** Where they are kept; absent in older ledgers: in the bag if there is one, else in their holes. */
  readonly kept?: Keeping;
  readonly note?: string;
}
/** From now on this job’s fasteners are kept so, unless somebody says otherwise at a step. */
export interface KeepingChosen {
  readonly kind: 'keeping-chosen';
  readonly keeping: Keeping;
}
/** What really holds a joint, in place of what the map says. */
export interface SetDescribed {
  readonly kind: 'set-described';
  readonly connection: ConnectionId;
  readonly sets: readonly FastenerSet[];
}
/** The set does not come out even and stays so, for a reason. */
export interface CountAccepted {
  readonly kind: 'count-accepted';
  readonly connection: ConnectionId;
  readonly reason: string;
}
/** `count` of one kind of fastener of a joint are in this condition; with what they are replaced, as far as anybody knows. */
export interface FastenersJudged {
  readonly kind: 'fasteners-judged';
  readonly connection: ConnectionId;
  /** Index among the sets of the joint. */
  readonly set: number;
  readonly count: number;
  readonly condition: FastenerCondition;
  readonly replacedBy?: string;
}
/** Where the holes of a joint are. */
export interface PatternDrawn {
  readonly kind: 'pattern-drawn';
  readonly connection: ConnectionId;
  readonly pattern: BoltPattern;
}
/** A fastener nobody knows the home of. */
export interface BoltFound {
  readonly kind: 'bolt-found';
  readonly bolt: string;
  readonly measured: MeasuredBolt;
  readonly where?: string;
}
/** A loose fastener goes home. */
export interface BoltHomed {
  readonly kind: 'bolt-homed';
  readonly bolt: string;
  readonly connection: ConnectionId;
  readonly set: number;
}
/** A loose fastener belongs to none of the homes of this job. */
export interface BoltSetAside {
  readonly kind: 'bolt-set-aside';
  readonly bolt: string;
  readonly reason: string;
}
/** A ground was looked at before the first start. */
export interface GroundChecked {
  readonly kind: 'ground-checked';
  readonly connection: ConnectionId;
  readonly good: boolean;
  readonly note?: string;
}
/** A picture, named by the hash of its contents, and what it shows. */
export interface PhotoTaken {
  readonly kind: 'photo-taken';
  readonly photo: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pinnedTo: PinnedTo;
  readonly words?: string;
}
/** What is drawn on a picture from now on; the picture itself stays as it is. */
export interface PhotoMarked {
  readonly kind: 'photo-marked';
  readonly photo: string;
  readonly marks: readonly PhotoMark[];
}
/** Whoever writes it stops working for a while. */
export interface WorkPaused {
  readonly kind: 'work-paused';
}
export interface WorkResumed {
  readonly kind: 'work-resumed';
}
/** The same number on both halves of a plug or both ends of a hose. */
export interface Tagged {
  readonly kind: 'tagged';
  readonly connection: ConnectionId;
  readonly tag: number;
}
export interface ConnectionFound {
  readonly kind: 'connection-found';
  readonly connection: FoundConnection;
  readonly alreadyOpen: boolean;
}
/** Left attached at the lift, or left off at the start, and why. */
export interface LeftOnPurpose {
  readonly kind: 'left-on-purpose';
  readonly connection: ConnectionId;
  readonly reason: string;
}
export interface HoldPointSigned {
  readonly kind: 'hold-point-signed';
  readonly holdPoint: HoldPointId;
  readonly confirmed: readonly string[];
}
export interface TorqueRead {
  readonly kind: 'torque-read';
  readonly connection: ConnectionId;
  readonly wrench: string;
  readonly read: TorqueReadingAsRead;
}
/** The last reading missed its target and stays as it is, for a reason. */
export interface TorqueAccepted {
  readonly kind: 'torque-accepted';
  readonly connection: ConnectionId;
  readonly reason: string;
}
export interface FluidMeasured {
  readonly kind: 'fluid-measured';
  readonly circuit: CircuitId;
  readonly direction: 'out' | 'in';
  readonly litres: number;
}
export interface Noted {
  readonly kind: 'noted';
  readonly text: string;
  readonly operation?: OperationId;
  /** The shop keeps it for the next machine of this kind. */
  readonly house?: boolean;
}
export interface PartNeeded {
  readonly kind: 'part-needed';
  readonly need: string;
  readonly name: string;
  readonly quantity: number;
  readonly reason: string;
  /** The step that asks for it. */
  readonly operation?: OperationId;
}
export interface PartArrived {
  readonly kind: 'part-arrived';
  readonly need: string;
}
export interface StartAttempted {
  readonly kind: 'start-attempted';
  readonly voltsBefore: number;
  readonly voltsLowest: number;
  readonly crankSeconds: number;
  readonly result: StartResult;
  readonly note?: string;
}
export interface IssueOpened {
  readonly kind: 'issue-opened';
  readonly issue: string;
  readonly title: string;
  readonly sort: IssueSort;
  readonly connection?: ConnectionId;
}
export interface IssueSorted {
  readonly kind: 'issue-sorted';
  readonly issue: string;
  readonly sort: IssueSort;
}
export interface IssueClosed {
  readonly kind: 'issue-closed';
  readonly issue: string;
  readonly how: string;
}
export interface HandedOver {
  readonly kind: 'handed-over';
  /** How many open items the person saw when signing; checked against what is open then. */
  readonly openItems: number;
  readonly note?: string;
}
/** The two halves of a job that are planned by themselves. */
export const HALVES = ['out', 'back'] as const;
export type Half = (typeof HALVES)[number];

/** The crew’s own word on where step `of` belongs: `before` comes before `after`, one of which it is. */
export interface Pin {
  readonly of: OperationId;
  readonly before: OperationId;
  readonly after: OperationId;
}

/** A step that cannot begin yet: in how many minutes it can, as far as anybody knows, and why. */
export interface Wait {
  readonly operation: OperationId;
  readonly min?: number;
  readonly why: string;
}

/** What a plan is made with. Minutes are minutes of working time from when it was made. */
export interface PlanSettings {
  readonly crew: Crew;
  readonly school: School;
  readonly pins: readonly Pin[];
  readonly waits: readonly Wait[];
}

/** From now on the crew follows this order for what is left of one half. */
export interface PlanFollowed extends PlanSettings {
  readonly kind: 'plan-followed';
  readonly half: Half;
  readonly order: readonly OperationId[];
  /** Steps before which the machine is moved already, for what comes after them. */
  readonly moveFirst?: readonly OperationId[];
  /** What the plan promised when it was taken on. */
  readonly finishMin: number;
  readonly heightChanges: number;
}
/** Takes back an earlier entry, which stays in the ledger and counts no more. */
export interface Corrected {
  readonly kind: 'corrected';
  readonly corrects: string;
  readonly reason: string;
}

export type EntryBody =
  | OperationDone
  | OperationSkipped
  | OperationStuck
  | HeightSet
  | FastenersCounted
  | KeepingChosen
  | SetDescribed
  | CountAccepted
  | FastenersJudged
  | PatternDrawn
  | BoltFound
  | BoltHomed
  | BoltSetAside
  | GroundChecked
  | PhotoTaken
  | PhotoMarked
  | WorkPaused
  | WorkResumed
  | Tagged
  | ConnectionFound
  | LeftOnPurpose
  | HoldPointSigned
  | TorqueRead
  | TorqueAccepted
  | FluidMeasured
  | Noted
  | PartNeeded
  | PartArrived
  | StartAttempted
  | IssueOpened
  | IssueSorted
  | IssueClosed
  | HandedOver
  | PlanFollowed
  | Corrected;
export type EntryKind = EntryBody['kind'];

/** Who and when; `id` is made by the client, so that sending twice writes once. `at` is an ISO time. */
export interface EntryHead {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

export type LedgerEntry = EntryHead & EntryBody;
