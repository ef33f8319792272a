import type {
  CircuitId,
  Connection,
  ConnectionId,
  FastenerSet,
  JobPlan,
  MachineHeight,
} from '../connection-map/index.js';
import type { BoltPattern, MeasuredBolt } from '../fasteners/index.js';
import type { IssueSort, StartAttempt } from '../first-start/index.js';
import type { PhotoMark, PinnedTo } from '../photos/index.js';
import type { WorkOrder } from '../schedule/index.js';
import type { OperationId } from '../teardown/index.js';
import type { TorqueVerdict } from '../torque/index.js';
import type { TorqueReadingAsRead } from '../units/index.js';
import type { Work } from '../work/index.js';
import type { FastenerCondition, Half, Keeping, LedgerEntry, Means, PlanSettings, SkipMode, Trouble } from './entry.js';

/** Who did something, when, and by which entry. */
export interface Mark {
  readonly by: string;
  readonly at: string;
  readonly entry: string;
}

export type Progress =
  | ({ readonly is: 'done' } & Mark)
  | ({ readonly is: 'skipped'; readonly mode: SkipMode; readonly reason: string } & Mark)
  | ({ readonly is: 'stuck' } & Struggle);

/** One try at a step that fought back. */
export interface Struggle extends Mark {
  readonly trouble: Trouble;
  readonly tried: string;
  readonly minutesLost: number;
  readonly means?: readonly Means[];
  readonly soakMin?: number;
}

export interface FastenerCount extends Mark {
  readonly count: number;
  readonly bag?: number;
  readonly kept?: Keeping;
  readonly note?: string;
}
export interface Bag {
  readonly out?: FastenerCount;
  readonly in?: FastenerCount;
}

/** Fasteners of one kind of a joint in one condition. */
export interface Judgement extends Mark {
  readonly set: number;
  readonly count: number;
  readonly condition: FastenerCondition;
  readonly replacedBy?: string;
}

/** A fastener found loose, and what became of it. */
export interface LooseBolt extends Mark {
  readonly bolt: string;
  readonly measured: MeasuredBolt;
  readonly where?: string;
  readonly home?: Mark & { readonly connection: ConnectionId; readonly set: number };
  readonly aside?: Mark & { readonly reason: string };
}

/** Why a count that does not come out even stays. */
export interface Accepted extends Mark {
  readonly reason: string;
}

export interface GroundCheck extends Mark {
  readonly good: boolean;
  readonly note?: string;
}

/** A picture of the job. The file is kept elsewhere, under the same name. */
export interface Photo extends Mark {
  readonly photo: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pinnedTo: PinnedTo;
  readonly words?: string;
  readonly marks: readonly PhotoMark[];
}

export interface TorqueReading extends Mark {
  readonly targetNm: number;
  readonly wrench: string;
  readonly read: TorqueReadingAsRead;
  readonly verdict: TorqueVerdict;
  /** Why a reading that missed its target stays. */
  readonly accepted?: string;
}

export interface LeftAsItIs extends Mark {
  /** Still attached when the powerpack was lifted, or still off when it was started. */
  readonly as: 'attached' | 'off';
  readonly reason: string;
}

export interface Litres {
  readonly out?: number;
  readonly in?: number;
}

export interface Note extends Mark {
  readonly text: string;
  readonly operation?: OperationId;
  readonly house?: boolean;
}

export interface PartToOrder extends Mark {
  readonly need: string;
  readonly name: string;
  readonly quantity: number;
  readonly reason: string;
  readonly operation?: OperationId;
  readonly arrived?: Mark;
}

export interface Issue extends Mark {
  readonly issue: string;
  readonly title: string;
  readonly sort: IssueSort;
  readonly connection?: ConnectionId;
  readonly closed?: Mark & { readonly how: string };
}

/** The plan the crew follows for one half; each one taken on is the next version. */
export interface FollowedPlan extends Mark, WorkOrder {
  readonly version: number;
  readonly settings: PlanSettings;
  readonly finishMin: number;
  readonly heightChanges: number;
}

/** What a job has come to: the fold of its ledger over its plan. Plain data; nothing in it is ever changed. */
export interface JobState {
  readonly plan: JobPlan;
  readonly work: Work;
  /** Entries folded so far; the position the next entry is written at is one more. */
  readonly position: number;
  readonly entries: readonly LedgerEntry[];
  readonly corrected: ReadonlySet<string>;
  readonly height: MachineHeight;
  readonly progress: ReadonlyMap<OperationId, Progress>;
  readonly found: readonly Connection[];
  readonly leftAsItIs: ReadonlyMap<ConnectionId, LeftAsItIs>;
  readonly bags: ReadonlyMap<ConnectionId, Bag>;
  /** How the job keeps its fasteners unless somebody says otherwise. */
  readonly keeping: Keeping;
  /** What really holds a joint, where somebody looked and it is not as the map says. */
  readonly sets: ReadonlyMap<ConnectionId, readonly FastenerSet[]>;
  readonly countsAccepted: ReadonlyMap<ConnectionId, Accepted>;
  readonly judged: ReadonlyMap<ConnectionId, readonly Judgement[]>;
  readonly patterns: ReadonlyMap<ConnectionId, BoltPattern>;
  readonly loose: ReadonlyMap<string, LooseBolt>;
  readonly grounds: ReadonlyMap<ConnectionId, GroundCheck>;
  /** Every try at steps that fought back, first to last. */
  readonly struggles: ReadonlyMap<OperationId, readonly Struggle[]>;
  readonly photos: ReadonlyMap<string, Photo>;
  /** Who is on a break, and since when. */
  readonly paused: ReadonlyMap<string, Mark>;
  readonly tags: ReadonlyMap<ConnectionId, number>;
  readonly torques: ReadonlyMap<ConnectionId, readonly TorqueReading[]>;
  readonly litres: ReadonlyMap<CircuitId, Litres>;
  readonly notes: readonly Note[];
  readonly needs: ReadonlyMap<string, PartToOrder>;
  readonly attempts: readonly (StartAttempt & Mark)[];
  readonly issues: ReadonlyMap<string, Issue>;
  readonly plans: ReadonlyMap<Half, FollowedPlan>;
  readonly handedOver?: Mark & { readonly note?: string };
}
