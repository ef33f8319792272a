import type {
  CircuitId,
  ConnectionId,
  ConnectionKind,
  HoldPointId,
  MachineHeight,
  PartId,
  Station,
  StepHeight,
} from '../connection-map/index.js';
import type { IssueSort, StartResult } from '../first-start/index.js';
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
  readonly note?: string;
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
}
export interface PartNeeded {
  readonly kind: 'part-needed';
  readonly need: string;
  readonly name: string;
  readonly quantity: number;
  readonly reason: string;
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
